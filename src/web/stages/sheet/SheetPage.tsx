import type { SheetAnswer } from '@contract/sheet';
import { clientSheetDocument, lookKey } from '@core/sheets/clientSheet';
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
          <Sheet answer={sheet.data} />
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

function Sheet(props: { answer: SheetAnswer }) {
  const { sheet, pictures, today, untilMs } = props.answer;
  const looks = new Set(Object.keys(pictures));
  const keys = new Map([...looks].map((spotId) => [lookKey(spotId), spotId]));
  return (
    <>
      <SheetView
        sheet={clientSheetDocument(sheet, { room: [], looks }, today)}
        picture={(key) => {
          const spot = pictures[keys.get(key) ?? ''];
          return spot && <SpotThumbnail spot={spot} />;
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
