/** What cautions look at in what is made: it burns, it holds a flame, it has a button cell, chewing it sickens or kills. */
export type MadeTrait = 'burns' | 'flame' | 'buttonCells' | 'sickens' | 'kills';
