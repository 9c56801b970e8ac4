import { contentsWords, mixedPack, type PackContent, parseContents } from '@core/pricing/mixedPack';
import type { PriceStory } from '@core/pricing/priceStory';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';

/** Sorts of a pack: how many of each, read from "2 tall, 4 short". */
function SortsField(props: {
  label: string;
  hint: string;
  value: PackContent[];
  onCommit: (value: PackContent[]) => void;
}) {
  return (
    <TypedField
      label={props.label}
      hint={props.hint}
      value={props.value}
      show={contentsWords}
      read={(text) => {
        const read = parseContents(text);
        return read === null
          ? { ok: false, reason: `“${text}”; accepted: sorts with their counts, like 2 tall, 4 short` }
          : { ok: true, value: read };
      }}
      onCommit={props.onCommit}
    />
  );
}

/** A pack of several sorts against what is needed of it: how many packs, what is short, what is over. */
export function MixedPack(props: {
  story: PriceStory;
  onChange: (change: { story?: PriceStory; count?: number }) => void;
}) {
  const { story } = props;
  const { contents, needs } = story.mix ?? { contents: [], needs: [] };
  const set = (mix: { contents: PackContent[]; needs: PackContent[] }) => {
    const pieces = Math.max(
      1,
      Math.min(
        1000,
        mix.contents.reduce((sum, { count }) => sum + count, 0),
      ),
    );
    const isMixed = mix.contents.length > 0;
    const next: PriceStory = { ...story, mix: isMixed ? mix : undefined, pieces: isMixed ? pieces : story.pieces };
    const answer = mixedPack(mix.contents, mix.needs, story.quantity);
    props.onChange({ story: next, ...(isMixed && mix.needs.length > 0 ? { count: answer.usable } : {}) });
  };
  const now = mixedPack(contents, needs, story.quantity);
  const enough = mixedPack(contents, needs);
  return (
    <details open={contents.length > 0}>
      <summary>A pack of several sizes or colors</summary>
      <SideBySide across={2}>
        <SortsField
          label="One pack holds"
          hint="2 tall, 4 short"
          value={contents}
          onCommit={(next) => set({ contents: next, needs })}
        />
        <SortsField
          label="Needed of it"
          hint="4 tall"
          value={needs}
          onCommit={(next) => set({ contents, needs: next })}
        />
      </SideBySide>
      {contents.length > 0 && needs.length > 0 && (
        <p role="status" className="small">
          {now.usable} of them serve with {story.quantity} {story.quantity === 1 ? 'pack' : 'packs'}
          {now.short.length > 0 ? `; short: ${contentsWords(now.short)}` : ''}
          {now.surplus.length > 0 ? `; over: ${contentsWords(now.surplus)}` : ''}.{' '}
          {enough.packs > story.quantity ? `It takes ${enough.packs} packs for all that they hold.` : ''}
        </p>
      )}
    </details>
  );
}
