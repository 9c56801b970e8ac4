import { calculated } from '../../kernel/source';
import { type LookSaid, lookAgain, lookCheck } from './lookCheck';

/** What a spot must keep doing is done by something of this look. */
export const functionKept = lookCheck({
  id: 'functionKept',
  name: 'What it must keep doing',
  source: calculated,
  sentences: {
    title: (f: { words: string }) => `Nothing here does “${f.words}”`,
    told: (f: { slot: string }) => `${f.slot} takes it over, and is not in this look.`,
    add: (f: { slot: string }) => `Put ${f.slot} in`,
  },
  check: (facts, say) =>
    facts.things.length === 0
      ? []
      : facts.slots
          .filter(
            ({ keeps, leftOut, id }) =>
              keeps.length > 0 && !leftOut && !facts.things.some(({ slot }) => slot?.id === id),
          )
          .flatMap((slot) =>
            slot.keeps.map(
              (words): LookSaid =>
                lookAgain(
                  say('title', { words }),
                  say('told', { slot: slot.name }),
                  [],
                  [
                    {
                      say: say('add', { slot: slot.name }),
                      act: { kind: 'add', under: null, of: { slotId: slot.id, nth: 0, layer: 3000 } },
                    },
                  ],
                ),
            ),
          ),
});
