import { spotSummary } from '@core/arrange/look/lookSummary';
import { localDate } from '@core/calendar/zonedTime';
import { photoPairs } from '@core/closing/photoPairs';
import {
  type ClientPictures,
  clientSheetDocument,
  clientSheetTable,
  lookKey,
  photoKey,
} from '@core/sheets/clientSheet';
import { clientSheetOf } from '@core/sheets/clientSheetOf';
import { Checkbox } from 'antd';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan, useRows } from '../../../app/projectStore';
import { useSearchState } from '../../../app/useSearchState';
import { photoAddress } from '../../../ui/photoAddress';
import { SpotThumbnail } from '../../../ui/SpotThumbnail';
import { Paper } from './Paper';

/** The client's sheet: costs and photos where they are wanted. */
export function ClientPaper() {
  const plan = usePlan();
  const { photos, spots } = useRows();
  const { timeZone } = useLocale();
  const [search, update] = useSearchState();
  const showsCosts = search.get('costs') === '1';
  const showsPhotos = search.get('photos') !== '0';
  const sheet = useMemo(() => clientSheetOf(plan, { showsCosts }), [plan, showsCosts]);
  const looks = useMemo(
    () => new Map(spots.flatMap((spot) => [[lookKey(spot.id), spotSummary(plan, spot)] as const])),
    [plan, spots],
  );
  const pairs = photoPairs(photos);
  const room: ClientPictures['room'] = showsPhotos
    ? pairs.map(({ before, after }) => ({ before: before?.id ?? null, after: after.id }))
    : [];
  const shown = new Set(spots.flatMap(({ id }) => (looks.get(lookKey(id)) ? [id] : [])));
  const ofPhoto = new Map(photos.map(({ id, name }) => [photoKey(id), { id, name }]));
  const set = (field: string, value: string | null) =>
    update((next) => (value === null ? next.delete(field) : next.set(field, value)));
  return (
    <Paper
      sheet={clientSheetDocument(sheet, { room, looks: shown }, localDate(plan.asOfMs, timeZone))}
      table={() => clientSheetTable(sheet)}
      data={() => sheet}
      picture={(key) => {
        const look = looks.get(key);
        if (look) return <SpotThumbnail spot={asAnswered(look)} />;
        const photo = ofPhoto.get(key);
        return photo && <img src={photoAddress(photo.id, 'full')} alt={photo.name || 'Photo'} />;
      }}
    >
      <p>
        <Checkbox checked={showsCosts} onChange={(event) => set('costs', event.target.checked ? '1' : null)}>
          Show what it came to
        </Checkbox>
        {pairs.length > 0 && (
          <Checkbox checked={showsPhotos} onChange={(event) => set('photos', event.target.checked ? null : '0')}>
            Show the photos
          </Checkbox>
        )}
      </p>
      <p className="small">
        To be sent as it is, saved as a PDF; or as a page that ends by itself, by a{' '}
        <Link to="../brief">link from the brief</Link>.
      </p>
    </Paper>
  );
}

/** A look as the start page is given it, whose lists may be changed. */
const asAnswered = (look: NonNullable<ReturnType<typeof spotSummary>>) => ({
  ...look,
  things: look.things.map((thing) => ({ ...thing, colors: { ...thing.colors } })),
});
