/**
 * Things of one kind that do not stand in for each other, by what they are called: a rug is no cushion, a sofa no stool.
 * What stands in none of the lists of its kind stands in for all of it (common practice, no source).
 */
export const thingsApart: Readonly<Record<string, readonly (readonly string[])[]>> = {
  lamp: [['chandelier', 'pendant'], ['sconce'], ['lamp', 'night light']],
  seat: [
    ['stool', 'footstool', 'foot stool', 'ottoman', 'pouf'],
    ['bench', 'settee'],
    ['sofa', 'couch'],
  ],
  bed: [
    ['headboard', 'bed head', 'bedhead', 'footboard'],
    ['bed', 'bed frame', 'bedstead'],
  ],
  box: [
    ['suitcase'],
    ['trunk', 'chest'],
    ['hat box', 'jewelry box'],
    ['drawer'],
    ['box', 'crate', 'tin', 'case', 'caddy', 'toolbox'],
  ],
  stems: [['wreath'], ['garland', 'swag']],
  textile: [
    ['rug', 'mat', 'doormat'],
    ['cushion', 'pillow'],
    ['throw', 'blanket', 'quilt', 'bedspread', 'coverlet', 'duvet'],
    ['runner', 'tablecloth', 'cloth'],
    ['napkin', 'placemat', 'doily'],
    ['towel'],
    ['scarf'],
    ['tapestry', 'macrame'],
    ['stocking'],
  ],
  curtain: [['blind'], ['valance'], ['curtain', 'curtain panel', 'drape']],
  hardware: [['hook'], ['hinge'], ['bracket'], ['caster'], ['knob', 'handle', 'pull']],
  dish: [
    ['cup', 'mug', 'teacup'],
    ['plate', 'saucer'],
    ['bowl', 'dish', 'tureen', 'compote'],
    ['glass', 'goblet', 'tumbler', 'coupe'],
    ['teapot'],
    ['creamer', 'gravy boat'],
  ],
  figure: [
    ['pumpkin'],
    ['ornament', 'egg', 'star'],
    ['bell', 'wind chime'],
    ['globe'],
    ['birdcage'],
    ['typewriter'],
    ['radio'],
    ['scale'],
    ['buoy'],
    ['boat', 'boat model', 'model'],
    ['bust', 'statue', 'sculpture'],
  ],
  rack: [
    ['easel'],
    ['wine rack'],
    ['magazine rack'],
    ['towel rack'],
    ['coat rack', 'hat stand', 'coat stand', 'hall tree', 'peg rail', 'peg rack'],
  ],
  book: [['magazine']],
};
