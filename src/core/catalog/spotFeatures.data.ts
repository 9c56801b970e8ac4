/** A kind of thing that a place has and that a sketch and a look must respect. Usual sizes are common practice, no source. */
interface FeatureFacts {
  name: string;
  /** What it is called in a sentence while nobody gave it a name. */
  called: string;
  usual: { widthMm: number; heightMm: number };
  /** Whether nothing else has room where it is; what stands before a socket or a window only hides it. */
  takesRoom: boolean;
}

export const spotFeatures = {
  door: { name: 'door', called: 'the door', usual: { widthMm: 762, heightMm: 2030 }, takesRoom: true },
  board: { name: 'shelf board', called: 'the board', usual: { widthMm: 800, heightMm: 20 }, takesRoom: true },
  socket: { name: 'socket or switch', called: 'the socket', usual: { widthMm: 76, heightMm: 120 }, takesRoom: false },
  obstacle: { name: 'obstacle', called: 'the obstacle', usual: { widthMm: 100, heightMm: 100 }, takesRoom: true },
  drawer: { name: 'drawer', called: 'the drawer', usual: { widthMm: 500, heightMm: 150 }, takesRoom: true },
  walkway: { name: 'way to walk', called: 'the way', usual: { widthMm: 914, heightMm: 914 }, takesRoom: true },
  keepFree: {
    name: 'space to keep free',
    called: 'the space to keep free',
    usual: { widthMm: 400, heightMm: 300 },
    takesRoom: true,
  },
  window: { name: 'window', called: 'the window', usual: { widthMm: 900, heightMm: 1200 }, takesRoom: false },
  heater: { name: 'heater', called: 'the heater', usual: { widthMm: 800, heightMm: 600 }, takesRoom: true },
  flame: { name: 'fire or cooker', called: 'the fire', usual: { widthMm: 800, heightMm: 700 }, takesRoom: true },
  water: { name: 'tap or pipe', called: 'the tap', usual: { widthMm: 100, heightMm: 300 }, takesRoom: true },
} as const satisfies Readonly<Record<string, FeatureFacts>>;
export type FeatureKind = keyof typeof spotFeatures;
export const featureKinds = Object.keys(spotFeatures) as [FeatureKind, ...FeatureKind[]];

/** Something of a place as it is marked in its sketch, from its left and up from its base (or from its front edge); mm. */
export interface MarkedFeature {
  id: string;
  kind: FeatureKind;
  name: string;
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}
