import type { SheetAnswer } from '@contract/sheet';
import { formatMoney } from '@core/kernel/formatMoney';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { ApiError, api } from '../../app/api';
import shell from '../../app/shell.module.css';
import { dateWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { SpotThumbnail } from '../../ui/SpotThumbnail';
import styles from './sheet.module.css';

const fromWords = {
  owned: 'yours',
  lent: 'borrowed or rented',
  thrifted: 'found second-hand',
  free: 'free',
  made: 'made for here',
  new: 'new',
} as const;

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
          <Sheet sheet={sheet.data} />
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

function Sheet(props: { sheet: SheetAnswer }) {
  const { name, room, revealDate, untilMs, palette, spots, costs } = props.sheet;
  const money = (minor: number) => formatMoney(minor, costs?.currency ?? 'USD', { cents: 'auto' });
  return (
    <>
      <h1>{name}</h1>
      <p className="muted">
        {[room, revealDate ? `ready ${dateWords(revealDate)}` : ''].filter((part) => part !== '').join(' · ')}
      </p>
      {costs && (
        <p>
          Planned <b>{money(costs.planned)}</b> of a budget of {money(costs.budget)}.
        </p>
      )}
      {palette.length > 0 && (
        <ul className={styles.palette} aria-label="Colors">
          {palette.map((color) => (
            <li key={`${color.name} ${color.hex}`}>
              <i style={{ background: color.hex }} />
              <span className="small">{color.name}</span>
            </li>
          ))}
        </ul>
      )}
      {spots.map((spot) => (
        <section key={spot.name} className={styles.spot} aria-label={spot.name}>
          <h2>{spot.name}</h2>
          {spot.picture && <SpotThumbnail spot={spot.picture} />}
          {spot.pieces.length > 0 && (
            <table>
              <thead>
                <tr>
                  <th>For</th>
                  <th>What</th>
                  <th>From where</th>
                  {costs && <th>Cost</th>}
                </tr>
              </thead>
              <tbody>
                {spot.pieces.map((piece, n) => (
                  <tr key={n}>
                    <td>{piece.slot}</td>
                    <td>
                      {piece.count > 1 && `${piece.count} × `}
                      {piece.what}
                    </td>
                    <td>{fromWords[piece.from]}</td>
                    {costs && <td>{piece.cost === null ? '' : money(piece.cost)}</td>}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {spot.open.length > 0 && <p className="muted">Not decided yet: {spot.open.join(', ')}.</p>}
        </section>
      ))}
      <p className="muted small">
        This page can be read until {new Intl.DateTimeFormat('en-US', { dateStyle: 'long' }).format(untilMs)}.{' '}
        <Button size="small" onClick={() => window.print()}>
          Print
        </Button>
      </p>
    </>
  );
}
