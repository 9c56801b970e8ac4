import type { SheetAnswer } from '@contract/sheet';
import { clientSheetDocument, lookKey, photoKey } from '@core/sheets/clientSheet';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { ApiError, api } from '../../app/api';
import shell from '../../app/shell.module.css';
import { Empty } from '../../ui/basics';
import { SheetView } from '../../ui/SheetView';
import { SpotThumbnail } from '../../ui/SpotThumbnail';
import styles from './sheet.module.css';

/** What a client sees by a link: the looks, the colors, the pieces; costs only where the link shows them. */
export function SheetPage() {
  const secret = location.hash.slice(1);
  const sheet = useQuery({
    queryKey: ['sheet', secret],
    queryFn: () => api.sheet(secret),
    enabled: secret !== '',
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const isOver = secret === '' || (sheet.error instanceof ApiError && sheet.error.answer.code === 'notFound');
  return (
    <>
      <header className={shell.top}>
        <span className={shell.mark}>
          <i>Eu</i>poria
        </span>
      </header>
      <main className={styles.sheet}>
        {sheet.data ? (
          <Sheet answer={sheet.data} secret={secret} />
        ) : isOver ? (
          <Empty title="This link opens nothing">
            <p>Its time is over, or it was ended. Ask whoever sent it for another one.</p>
          </Empty>
        ) : sheet.isError ? (
          <div role="alert">
            <p>{sheet.error.message}</p>
            <Button onClick={() => void sheet.refetch()}>Try again</Button>
          </div>
        ) : (
          <p aria-busy="true">Opening the sheet …</p>
        )}
      </main>
    </>
  );
}

function Sheet(props: { answer: SheetAnswer; secret: string }) {
  const { secret } = props;
  const { sheet, room, pictures, today, untilMs } = props.answer;
  const looks = new Set(Object.keys(pictures));
  const keys = new Map([...looks].map((spotId) => [lookKey(spotId), spotId]));
  const photos = new Map<string, { id: string; name: string }>();
  for (const { before, after } of room) {
    if (before !== null) photos.set(photoKey(before), { id: before, name: 'The room before' });
    photos.set(photoKey(after), { id: after, name: 'The room after' });
  }
  return (
    <>
      <SheetView
        sheet={clientSheetDocument(sheet, { room, looks }, today)}
        picture={(key) => {
          const spot = pictures[keys.get(key) ?? ''];
          if (spot) return <SpotThumbnail spot={spot} />;
          const photo = photos.get(key);
          return photo && <SheetPhoto secret={secret} {...photo} />;
        }}
      />
      <p className={`muted small ${styles.until}`}>
        This page can be read until {new Intl.DateTimeFormat('en-US', { dateStyle: 'long' }).format(untilMs)}.{' '}
        <Button size="small" onClick={() => window.print()}>
          Print
        </Button>
      </p>
    </>
  );
}

/** A photo by the link: asked for with its secret, so that no address of it is of use to anybody else. */
function SheetPhoto(props: { secret: string; id: string; name: string }) {
  const { secret, id, name } = props;
  const photo = useQuery({
    queryKey: ['sheet photo', secret, id],
    // What is shown stays good as long as the page is open.
    queryFn: async () => URL.createObjectURL(await api.sheetPhoto(secret, id)),
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: Number.POSITIVE_INFINITY,
  });
  if (photo.data !== undefined) return <img src={photo.data} alt={name} />;
  if (!photo.isError) return <p aria-busy="true">The photo comes …</p>;
  return (
    <p>
      {name} cannot be shown now.{' '}
      <Button size="small" onClick={() => void photo.refetch()}>
        Try again
      </Button>
    </p>
  );
}
