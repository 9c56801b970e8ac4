import { basicShapes } from '@core/artwork/basicShapes';
import { fonts } from '@core/artwork/fonts.data';
import { type Backing, labelLines } from '@core/artwork/label';
import type { Lettering } from '@core/artwork/lettering';
import { useId } from 'react';
import { useLocale } from '../../../app/projectStore';
import { Choice } from '../../../ui/Choice';
import { LengthField, NumberField } from '../../../ui/fields';
import { LinesOfText } from '../../../ui/LinesOfText';
import { SideBySide } from '../../../ui/layout';
import ui from '../../../ui/ui.module.css';

/** Words as they are set, and the label that they stand on. */
export function WordFields(props: {
  lettering: Lettering;
  setLettering: (next: Lettering) => void;
  backing: Backing | null;
  setBacking: (next: Backing | null) => void;
  isSet: boolean;
  /** Makes each line a label of its own; null where one label is set anew. */
  setSet: ((next: boolean) => void) | null;
}) {
  const locale = useLocale();
  const id = useId();
  const { lettering, setLettering, backing, setBacking, isSet, setSet } = props;
  const lines = labelLines(lettering.words).length;
  const set = (change: Partial<Lettering>) => setLettering({ ...lettering, ...change });
  return (
    <>
      <label className={ui.field} htmlFor={id}>
        <span>Words</span>
        <LinesOfText
          id={id}
          aria-label="Words"
          value={lettering.words}
          maxLength={400}
          rows={Math.min(8, Math.max(2, lettering.words.split('\n').length))}
          autoFocus
          placeholder="Flour"
          onChange={(event) => set({ words: event.target.value })}
        />
        {setSet && lines < 2 && <small className="muted">one label a line makes a set: flour, sugar, rice</small>}
      </label>
      {setSet && lines > 1 && (
        <Choice
          label="The lines are"
          value={isSet ? 'set' : 'one'}
          options={[
            { value: 'one', label: 'one label' },
            { value: 'set', label: `${lines} labels, one a line` },
          ]}
          onChange={(value) => setSet(value === 'set')}
        />
      )}
      <SideBySide across={2}>
        <Choice
          label="Typeface"
          value={lettering.fontId}
          options={fonts.map(({ id: value, name: label }) => ({ value: value as string, label }))}
          onChange={(fontId) => set({ fontId })}
        />
        <LengthField
          label="Capitals, high"
          value={lettering.letterHeightMm}
          units={locale.units}
          onCommit={(letterHeightMm) => set({ letterHeightMm: Math.min(2000, Math.max(1, letterHeightMm)) })}
        />
        <LengthField
          label="Added between letters"
          value={lettering.letterSpacingMm}
          units={locale.units}
          zero
          onCommit={(letterSpacingMm) => set({ letterSpacingMm: Math.min(200, letterSpacingMm) })}
        />
        <Choice
          label="Lines stand"
          value={lettering.align}
          options={[
            { value: 'left', label: 'left' },
            { value: 'middle', label: 'in the middle' },
            { value: 'right', label: 'right' },
          ]}
          onChange={(align) => set({ align })}
        />
        {lettering.words.includes('\n') && !isSet && (
          <NumberField
            label="Line to line, in capitals"
            value={lettering.lineSpacing}
            least={0.5}
            most={5}
            digits={1}
            onCommit={(lineSpacing) => set({ lineSpacing })}
          />
        )}
        <Choice
          label="On a label"
          value={backing?.id ?? 'none'}
          options={[
            { value: 'none', label: 'none: words alone' },
            ...basicShapes.map(({ id: value, name: label }) => ({ value, label })),
          ]}
          onChange={(value) =>
            setBacking(
              value === 'none'
                ? null
                : {
                    marginMm: lettering.letterHeightMm / 2,
                    leastWidthMm: 0,
                    leastHeightMm: 0,
                    ...backing,
                    id: value,
                  },
            )
          }
        />
        {backing && (
          <>
            <LengthField
              label="Label beyond the words"
              value={backing.marginMm}
              units={locale.units}
              zero
              onCommit={(marginMm) => setBacking({ ...backing, marginMm })}
            />
            <LengthField
              label="Label, wide at least"
              value={backing.leastWidthMm}
              units={locale.units}
              zero
              onCommit={(leastWidthMm) => setBacking({ ...backing, leastWidthMm })}
            />
            <LengthField
              label="Label, high at least"
              value={backing.leastHeightMm}
              units={locale.units}
              zero
              onCommit={(leastHeightMm) => setBacking({ ...backing, leastHeightMm })}
            />
          </>
        )}
      </SideBySide>
    </>
  );
}
