import { useQuery } from '@tanstack/react-query';
import QRCode from 'qrcode';
import { isHereOnly, placeOf } from '../../app/reach';
import { useTick } from '../../app/useTick';
import styles from './devices.module.css';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** How long a code is still good. */
function leftWords(leftMs: number): string {
  if (leftMs <= 0) return 'over';
  if (leftMs > DAY_MS) return `for ${Math.round(leftMs / DAY_MS)} days`;
  const minutes = Math.floor(leftMs / MINUTE_MS);
  return minutes > 0 ? `for ${minutes} min` : `for ${Math.ceil(leftMs / 1000)} s`;
}

/** A code to be typed or photographed on the other device; good for one use. */
export function CodeCard(props: { code: string; untilMs: number; address: string | null; name: string }) {
  const { code, untilMs } = props;
  const now = useTick(true);
  const place = placeOf(props.address);
  const address = `${place}/enter#${code}`;
  const { host } = new URL(place);
  const drawn = useQuery({
    queryKey: ['qr', address],
    queryFn: () => QRCode.toString(address, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const isOver = untilMs <= now;
  return (
    <section className={styles.code} aria-label={`Code for ${props.name}`}>
      {!isOver && drawn.data && (
        <img src={`data:image/svg+xml;utf8,${encodeURIComponent(drawn.data)}`} alt="The same code to photograph" />
      )}
      <div>
        <p className={styles.digits}>{isOver ? '…' : code}</p>
        <p className="muted">
          {isOver ? 'That code is over. Make another one.' : `One use, ${leftWords(untilMs - now)}.`}
        </p>
        {!isOver && (
          <p className="small">
            Photograph it with the other device, or open {host} there and type it.
            {isHereOnly(place) && (
              <>
                {' '}
                Only this machine finds that address: for a phone, start Euporia with{' '}
                <code className={styles.command}>npm start -- --lan</code>.
              </>
            )}
          </p>
        )}
      </div>
    </section>
  );
}
