/** What a use case takes from its surroundings: the clock and new ids. */
export interface Environment {
  nowMs(): number;
  newId(): string;
}
