/** What a use case takes from its surroundings: the clock and new ids. */
export interface Surroundings {
  nowMs(): number;
  newId(): string;
}
