/** Everything of a piece that a search by words looks into, as SQL over its table; the index is over this very expression. */
export const PIECE_WORDS_SQL =
  "to_tsvector('simple', name || ' ' || style || ' ' || stands_at || ' ' || box || ' ' || shelf || ' ' || story || ' ' || borrowed_from)";
