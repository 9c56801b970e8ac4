import type { ThinPlace } from '@core/artwork/artwork';
import { basicShapes } from '@core/artwork/basicShapes';
import { fonts, isScript } from '@core/artwork/fonts.data';
import { type Backing, backingOf, type Drawn, labelLines } from '@core/artwork/label';
import type { Lettering } from '@core/artwork/lettering';
import type { Coating } from '@core/catalog/coating';
import { hexFromLab, type Lab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import { MM_PER_INCH } from '@core/kernel/units';
import type { RowOf } from '@core/model/rows';
import { Alert, Button, Modal } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useCommands, useLocale } from '../../../app/projectStore';
import { Segments } from '../../../ui/basics';
import { Choice } from '../../../ui/Choice';
import { LengthField, TextField } from '../../../ui/fields';
import { SideBySide } from '../../../ui/layout';
import type { Imported } from '../../../workers/artwork.worker';
import { ArtworkPreview } from './ArtworkPreview';
import styles from './artwork.module.css';
import { artworkWorker } from './artworkWorker';
import { FileField } from './FileField';
import { WordFields } from './WordFields';

type ArtworkRow = RowOf<'artworks'>;
type Way = 'words' | 'shape' | 'file';

const nothing: Drawn = { widthMm: 0, heightMm: 0, layers: [] };

/** Words of an inch, in the middle. */
const usualLettering: Lettering = {
  words: '',
  fontId: fonts[0].id,
  letterHeightMm: MM_PER_INCH,
  letterSpacingMm: 0,
  lineSpacing: 1.6,
  align: 'middle',
};

const shapeIds = basicShapes.map(({ id }) => id);
const hundredths = (mm: number): number => Math.round(mm * 100) / 100;

/** Makes a shape or a lettering, or sets one anew: words, a basic shape, or a drawing from a file. */
export function ArtworkEditor(props: {
  artwork: ArtworkRow | null;
  /** The film that it is cut from, which says how fine it may be. */
  film: Coating | null;
  /** The color of that film, for the drawing. */
  color: Lab | null;
  onClose: () => void;
  /** Told what was kept: one shape, or the labels of a set. */
  onSaved: (ids: string[]) => void;
}) {
  const { artwork, film } = props;
  const locale = useLocale();
  const { run } = useCommands();
  const [way, setWay] = useState<Way>(artwork && !artwork.text ? 'file' : 'words');
  const [name, setName] = useState(artwork?.name ?? '');
  const [lettering, setLettering] = useState<Lettering>({ ...usualLettering, ...artwork?.text });
  const [backing, setBacking] = useState<Backing | null>(() =>
    artwork?.text ? backingOf({ ...artwork, layers: [...artwork.layers] }, shapeIds) : null,
  );
  const [isSet, setSet] = useState(false);
  const [labels, setLabels] = useState<readonly { words: string; drawn: Drawn }[]>([]);
  const [shape, setShape] = useState({ id: 'circle', widthMm: 4 * MM_PER_INCH, heightMm: 4 * MM_PER_INCH });
  const [file, setFile] = useState<{ name: string; result: Imported } | null>(null);
  const [drawn, setDrawn] = useState<Drawn>(
    artwork ? { widthMm: artwork.widthMm, heightMm: artwork.heightMm, layers: [...artwork.layers] } : nothing,
  );
  const [missing, setMissing] = useState<string[]>([]);
  const [thin, setThin] = useState<readonly ThinPlace[]>([]);
  const [problem, setProblem] = useState('');
  const asked = useRef(0);

  const makesSet = way === 'words' && isSet && artwork === null && labelLines(lettering.words).length > 1;
  useEffect(() => {
    asked.current += 1;
    const mine = asked.current;
    const isLatest = () => mine === asked.current;
    const draw = async (): Promise<Drawn & { missing?: string[]; each?: { words: string; drawn: Drawn }[] }> => {
      if (makesSet) {
        const { together, ...set } = await artworkWorker().letterSet(lettering, backing);
        return { ...together, ...set };
      }
      if (way === 'words') return artworkWorker().letter(lettering, backing);
      if (way === 'shape') return artworkWorker().shape(shape.id, shape.widthMm, shape.heightMm);
      if (file?.result.ok) return file.result.drawn;
      return artwork && !artwork.text
        ? { widthMm: artwork.widthMm, heightMm: artwork.heightMm, layers: [...artwork.layers] }
        : nothing;
    };
    draw()
      .then(async (next) => {
        if (!isLatest()) return;
        setProblem('');
        setDrawn(next);
        setMissing(next.missing ?? []);
        setLabels(next.each ?? []);
        const least = film?.adhesive?.leastStrokeMm.usual;
        const places = least === undefined ? [] : await artworkWorker().thin(next.layers, least);
        if (isLatest()) setThin(places);
      })
      .catch(() => isLatest() && setProblem('The letters could not be set here. Try again in a moment.'));
  }, [way, lettering, backing, shape, file, artwork, film, makesSet]);

  const least =
    film?.adhesive &&
    (isScript(lettering.fontId) ? film.adhesive.leastScriptMm.usual : film.adhesive.leastLetterMm.usual);
  const isSmall = way === 'words' && least !== undefined && least !== null && lettering.letterHeightMm < least;
  const usualName =
    way === 'words'
      ? lettering.words.split('\n')[0]?.trim().slice(0, 80)
      : way === 'shape'
        ? basicShapes.find(({ id }) => id === shape.id)?.name
        : file?.name.replace(/\.svg$/i, '');
  const isOne = drawn.layers.length === 1;
  const canKeep = drawn.layers.some(({ path }) => path !== '') && drawn.widthMm > 0 && (!makesSet || labels.length > 0);
  const tooLong = drawn.layers.some(({ path }) => path.length > 200_000);
  const rowOf = (drawing: Drawn, title: string, text: Lettering | null): ArtworkRow => ({
    id: artwork?.id ?? crypto.randomUUID(),
    version: artwork?.version ?? 1,
    name: title,
    widthMm: hundredths(drawing.widthMm),
    heightMm: hundredths(drawing.heightMm),
    layers: drawing.layers.map((layer, n) => ({
      name: layer.name.slice(0, 60),
      path: layer.path,
      colorCardId: artwork?.layers[n]?.colorCardId ?? null,
    })),
    text,
  });
  const keep = () => {
    const artworks = makesSet
      ? labels.map(({ words, drawn: own }) => rowOf(own, words.slice(0, 80), { ...lettering, words }))
      : [rowOf(drawn, name.trim() || usualName || 'Shape', way === 'words' ? { ...lettering } : null)];
    run('saveArtwork', { artworks });
    props.onSaved(artworks.map(({ id }) => id));
  };
  return (
    <Modal
      open
      title={artwork ? `Set “${artwork.name}” anew` : 'A shape or lettering to cut'}
      width={860}
      onCancel={props.onClose}
      footer={[
        <Button key="cancel" onClick={props.onClose}>
          Cancel
        </Button>,
        <Button key="keep" type="primary" disabled={!canKeep || tooLong} onClick={keep}>
          {makesSet ? `Keep the ${labels.length} labels` : 'Keep it'}
        </Button>,
      ]}
    >
      <Segments<Way>
        label="What it is made of"
        value={way}
        onChange={setWay}
        options={[
          { value: 'words', label: 'Words' },
          { value: 'shape', label: 'Basic shape' },
          { value: 'file', label: 'SVG file' },
        ]}
        className={styles.way}
      />
      <div className={styles.sides}>
        <div className={styles.fields}>
          {way === 'words' && (
            <WordFields
              {...{ lettering, setLettering, backing, setBacking, isSet }}
              setSet={artwork === null ? setSet : null}
            />
          )}
          {way === 'shape' && (
            <>
              <Choice
                label="Shape"
                value={shape.id}
                options={basicShapes.map(({ id, name: label }) => ({ value: id, label }))}
                onChange={(id) => setShape({ ...shape, id })}
              />
              <SideBySide across={2}>
                <LengthField
                  label="Wide"
                  value={shape.widthMm}
                  units={locale.units}
                  onCommit={(widthMm) => setShape({ ...shape, widthMm })}
                />
                <LengthField
                  label="High"
                  value={shape.heightMm}
                  units={locale.units}
                  onCommit={(heightMm) => setShape({ ...shape, heightMm })}
                />
              </SideBySide>
            </>
          )}
          {way === 'file' && <FileField file={file} onFile={setFile} />}
          {!makesSet && (
            <TextField
              label="Name"
              value={name}
              most={120}
              onCommit={setName}
              hint={usualName ? `empty: ${usualName}` : undefined}
            />
          )}
        </div>
        <div>
          <ArtworkPreview
            {...drawn}
            layers={drawn.layers.map((layer) => ({
              ...layer,
              color: isOne && props.color ? hexFromLab(props.color) : null,
            }))}
            thin={thin}
            label={`${name || usualName || 'The shape'}, to scale`}
          />
          {drawn.layers.length > 1 && (
            <p className="muted small">
              {drawn.layers.length} colors, cut apart: each layer of film cuts one, with marks at both sides to lay them
              over each other.
            </p>
          )}
          {missing.length > 0 && (
            <Alert
              type="warning"
              showIcon
              title={`This typeface has no ${missing.map((sign) => `“${sign}”`).join(', ')}: take another one, or leave it out.`}
            />
          )}
          {thin.length > 0 && film?.adhesive && (
            <Alert
              type="warning"
              showIcon
              title={`Thinner than ${film.adhesive.leastStrokeMm.usual} mm in ${thin.length} ${thin.length === 1 ? 'place' : 'places'} (circled): ${film.name.toLowerCase()} tears there when it is weeded.`}
            />
          )}
          {isSmall && least !== null && least !== undefined && (
            <Alert
              type="warning"
              showIcon
              title={`Letters hold from ${formatLength(least, locale.units)} on in this film and typeface.`}
            />
          )}
          {tooLong && (
            <Alert type="error" showIcon title="This drawing has too many corners to keep: simplify it first." />
          )}
          {problem !== '' && <Alert type="error" showIcon title={problem} />}
        </div>
      </div>
    </Modal>
  );
}
