import { describe, expect, it } from 'vitest';
import { demoAndPerson } from './lib/demo';

const { euporia, person, attic } = await demoAndPerson();

const open = async (name: string) => {
  await person.goto(`${euporia.address}/p/${attic}/makeover`);
  await person.press(name);
  await person.see('//h2[normalize-space(.)="Steps"]');
};
const sectionText = async (label: string) => (await person.see(`//section[@aria-label="${label}"]`)).getText();
/** Opens a step by the beginning of its title. */
const openStep = (title: string) => person.press(`${title}:`);

describe('six very different pieces', () => {
  it.each([
    ['Oak nightstand in teal', 'Bonding primer', 'Wood veneer'],
    ['Laminate bookcase in white, teal behind', 'Bonding primer', 'Laminate'],
    ['Wicker hamper, whitewashed', 'Wall acrylic', 'Wicker, rattan or sea grass'],
    ['Lamps in black', 'Rust-inhibiting metal primer', 'Iron or steel'],
    ['Vase, cast in stone', 'Aerosol stone texture', 'Glazed ceramic or china'],
    ['Pine shelf in walnut stain', 'Water-based wood conditioner', 'Pine'],
  ])('%s has its layers, its steps and nothing that would peel', async (name, layer, material) => {
    await open(name);
    const layers = await sectionText('Layers');
    expect(layers).toContain(layer);
    expect(layers).toContain(material);
    expect(layers).not.toContain('would peel');
    expect(layers).not.toContain('Refused');
    expect(await sectionText('Steps')).toMatch(/about \d+ h \d\d hands-on in \d+ steps/);
  });
});

describe('a wash', () => {
  it('says what is mixed and how long it keeps, and follows the ratio', async () => {
    await open('Wicker hamper, whitewashed');
    await person.seeText('Mix 2.3 fl oz paint and 2.3 fl oz water; keeps 2 days');
    await person.fill('Water, parts', '3');
    await person.seeText('Mix 1.1 fl oz paint and 3.4 fl oz water');
    await person.press('Take it back');
    await person.seeText('Mix 2.3 fl oz paint and 2.3 fl oz water');
    await person.saved();
  });
});

describe('a finish that does not hold', () => {
  it('is refused with its reason; the cheapest repair is one press', async () => {
    await open('Painted nightstand in teal');
    await person.choose('Finish on it', 'Clear paste wax (wax of some kind, curls under a nail)');
    // Chalk-type paint on old wax is a matter of testing; wall paint does not hold at all.
    await person.choose('Paint or coat', 'Wall acrylic');
    await person.seeText('Wall acrylic on clear paste wax would peel');
    await person.press('How to mend it');
    await person.press('Wash the wax off twice first');
    await person.notText('would peel');
    await person.seeText('Wash wax off twice with mineral spirits');
    expect(await sectionText('Layers')).toContain('Shellac primer');
    await person.press('Take it back');
    await person.seeText('would peel');
    await person.press('As the rest of the piece');
    await person.notText('would peel');
    await person.choose('Paint or coat', 'Chalk-type paint');
    await person.saved();
  });

  it('a stain lighter than the wood is refused; a paint of that color is offered', async () => {
    await open('Pine shelf in walnut stain');
    await person.choose('Color', 'Sail white');
    await person.seeText('cannot be lighter than what is there');
    await person.choose('Color', 'Walnut');
    await person.notText('cannot be lighter');
  });
});

describe('layers', () => {
  it('are added on top in any technique, moved, and taken away', async () => {
    await open('Painted nightstand in teal');
    await person.choose('Add a layer', 'Stencil');
    await person.choose('Paint or coat', 'Craft acrylic');
    await person.seeText('Stencil: craft acrylic');
    await person.press('Layer 2 down, nearer to the material');
    await person.press('Layer 1 up');
    await person.choose('Add a layer', 'Distressed through the layer');
    await person.seeText('edges, corners, around the knobs');
    await person.press('Remove layer 3');
    await person.press('Remove layer 2');
    await person.notText('Stencil: craft acrylic');
    await person.saved();
  });

  it('go on the zones that are ticked', async () => {
    await open('Painted nightstand in teal');
    const steps = await sectionText('Steps');
    await person.click('//fieldset[legend[normalize-space(.)="On"]]//label[normalize-space(.)="D"]');
    await person.driver.wait(async () => (await sectionText('Steps')) !== steps, 8000, 'the steps stay');
    await person.click('//fieldset[legend[normalize-space(.)="On"]]//label[normalize-space(.)="D"]');
    await person.driver.wait(async () => (await sectionText('Steps')) === steps, 8000, 'the steps do not come back');
  });
});

describe('zones', () => {
  it('take a shape of the library, and say at the field what cannot be', async () => {
    await open('Painted nightstand in teal');
    await person.press('Add a zone');
    await person.press('Shape and count');
    await person.fill('Name', 'Two ball feet');
    await person.choose('Shape', 'Ball');
    await person.fill('Diameter', '3 in');
    await person.fill('How many', '2');
    await person.seeText('0.4 ft²');
    await person.fill('Diameter', 'three apples');
    await person.see('//*[@role="alert"][contains(., "three apples")]');
    await person.press('Remove this zone');
    await person.notText('Two ball feet');
    await person.saved();
  });

  it('of several like faces are taken apart for a second color, and put back', async () => {
    await open('Oak nightstand in teal');
    await person.click('//button[contains(., "2 drawer fronts")]');
    await person.press('Some of the 2 differently');
    await person.press('A zone of their own');
    await person.see('//button[contains(., "every other")]');
    await person.saved();
    await person.click('//button[contains(., "every other")]');
    await person.press('Shape and count');
    await person.press('Put it back with the others');
    await person.notText('every other');
    await person.see('//button[contains(., "2 drawer fronts")]');
    await person.saved();
  });

  it('simple tests suggest what is there, and are taken over', async () => {
    await open('Laminate bookcase in white, teal behind');
    await person.press('Not sure what it is? Test it');
    const answer = (question: string, word: string) =>
      person.click(`//fieldset[legend[normalize-space(.)="${question}"]]//button[normalize-space(.)="${word}"]`);
    await answer('Does a drop of water bead?', 'yes');
    await answer('Does alcohol soften it?', 'no');
    await person.seeText('water beads and alcohol does nothing: an old varnish');
    await person.press('Note it so');
    await person.seeText('noted so');
    expect(await sectionText('Layers')).toContain('Glossy varnish');
    await person.press('Take it back');
    await person.saved();
  });
});

describe('steps', () => {
  it('follow the air: too cold and too damp stop a spray, and the waits grow', async () => {
    await open('Lamps in black');
    await person.press('Air 70 °F, 50 %');
    await person.fill('Air', '45 °F');
    await person.fill('Humidity, %', '90');
    await person.seeText('45 °F is too cold');
    await person.seeText('90 % humidity is too damp');
    await person.seeText('over the dew point');
    await person.press('Back to 21 °C and 50 %');
    await person.notText('is too cold');
    await person.saved();
  });

  it('a coat that ran is mended in the plan from there on', async () => {
    await open('Painted nightstand in teal');
    await openStep('Chalk-type paint, coat 2 of 2');
    await person.press('Ran or sagged');
    await person.seeText('Chalk-type paint, coat 2 of 2, once more');
    await person.seeText('less on the brush');
    await person.press('It did not');
    await person.notText('once more');
  });

  it('can be left out, put back, and have one’s own between them', async () => {
    await open('Painted nightstand in teal');
    await openStep('Degrease and rinse');
    await person.press('Leave this step out');
    await person.seeText('left out');
    await person.press('Put it back in');
    await person.notText('left out');
    await person.press('Add a step after it');
    await openStep('A step of my own');
    await person.fill('What is done', 'Line the drawers');
    await person.fill('Work, minutes', '40');
    await person.seeText('Line the drawers');
    await person.press('Remove this step');
    await person.notText('Line the drawers');
    await person.saved();
  });
});

describe('across pieces', () => {
  it('one can and what it serves, and what one more piece would add', async () => {
    await person.goto(`${euporia.address}/p/${attic}/makeover`);
    const families = await sectionText('Colors in use');
    expect(families).toContain('Chalk-type paint, Harbor teal');
    expect(families).toMatch(/Painted nightstand in teal \d/);
    expect(families).toContain('One more piece');
  });

  it('a recipe is kept by the studio and put on another piece', async () => {
    await open('Oak nightstand in teal');
    await person.press('Keep as a studio recipe');
    await person.saved();
    await open('Pine shelf in walnut stain');
    await person.choose('Take a studio recipe', 'Oak nightstand in teal');
    await person.driver.wait(
      async () => (await sectionText('Layers')).includes('Chalk-type paint'),
      8000,
      'the recipe was not taken',
    );
    // The shelf's own amounts, not the nightstand's.
    expect(await sectionText('Layers')).not.toContain('10.3 fl oz');
    await person.press('Take it back');
    await person.driver.wait(async () => !(await sectionText('Layers')).includes('Chalk-type paint'), 8000, 'it stays');
    await person.saved();
    await person.goto(`${euporia.address}/p/${attic}/makeover`);
    await person.press('Remove the studio recipe Oak nightstand in teal');
    await person.notText('Studio recipes');
    await person.saved();
  });

  it('one recipe covers another find too, which gets its own makeover on the board', async () => {
    await open('Lamps in black');
    await person.choose('Cover another find too', 'Gilt frame');
    await person.seeText('Take this piece out of the recipe');
    await person.saved();
    await person.goto(`${euporia.address}/p/${attic}/compare`);
    await person.see('//button[starts-with(@aria-label, "Why: Makeover, Gilt frame")]');
    await open('Lamps in black');
    expect(await sectionText('Piece and zones')).toContain('2A');
    await person.click(
      '(//section[@aria-label="Piece and zones"]//button[contains(., "Take this piece out of the recipe")])[2]',
    );
    await person.notText('Take this piece out of the recipe');
    await person.saved();
  });

  it('labels are ready to print: lids, bags, numbered parts', async () => {
    await person.goto(`${euporia.address}/p/${attic}/makeover`);
    await person.press('Labels to print');
    await person.seeText('wash 1 paint : 1 water');
    expect(await sectionText('Bags of hardware')).toContain('Oak nightstand in teal');
    expect(await sectionText('Parts')).toContain('C2');
  });
});
