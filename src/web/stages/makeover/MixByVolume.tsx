import { mixOf } from '@core/technique/mix';
import type { Technique, TechniqueValues } from '@core/technique/technique';
import { supplyWords } from '@core/words/supplyWords';
import { useState } from 'react';
import { useLocale } from '../../app/projectStore';
import { QuantityField } from '../../ui/fields';

const MOST_ML = 20_000;

/** A jar mixed by the volume that is wanted, beside what one coat of the recipe takes. */
export function MixByVolume(props: { technique: Technique; values: TechniqueValues; coatMl: number }) {
  const locale = useLocale();
  const [wanted, setWanted] = useState<number | null>(null);
  const { technique, values, coatMl } = props;
  const volume = wanted ?? coatMl;
  const { paint, waterMl } = mixOf(technique, values, volume);
  const words = (mL: number) => supplyWords(mL, 'mL', locale.units);
  return (
    <div>
      <QuantityField
        label="Mix so much at once"
        kind="mL"
        value={wanted}
        nullable
        units={locale.units}
        least={1}
        most={MOST_ML}
        onCommit={setWanted}
        hint={coatMl > 0 ? `empty: one coat here, ${words(coatMl)}` : 'a jar by its volume'}
      />
      {volume > 0 && (
        <p className="small" role="status">
          {words(paint)} paint and {words(waterMl)} water
          {wanted !== null && coatMl > 0 ? `; ${coatsWords(wanted / coatMl)} here` : ''}
        </p>
      )}
    </div>
  );
}

function coatsWords(coats: number): string {
  const shown = Math.round(coats * 10) / 10;
  return shown < 0.1 ? 'less than a tenth of a coat' : `enough for ${shown} ${shown === 1 ? 'coat' : 'coats'}`;
}
