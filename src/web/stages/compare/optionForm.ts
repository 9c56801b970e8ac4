import type { ColorCardRow, PieceRow } from '@core/model/rows';

/** What was answered so far of a new option. */
export interface OptionForm {
  what: string;
  cost: string;
  wish: string;
  /** A piece that is entered already. */
  findId: string | null;
  /** A piece of the house. */
  ours: PieceRow | null;
  /** Whose it is, when it goes back, and what is left for it, where it is lent or rented; as they were typed. */
  owner: string;
  backBy: string | null;
  deposit: number;
  /** A color that was picked; else the words say it, or the palette. */
  card: ColorCardRow | null;
}

export const emptyForm: OptionForm = {
  what: '',
  cost: '',
  wish: '',
  owner: '',
  backBy: null,
  deposit: 0,
  findId: null,
  ours: null,
  card: null,
};
