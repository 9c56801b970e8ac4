import { useQuery } from '@tanstack/react-query';
import QRCode from 'qrcode';
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

/** Addresses by which a machine reaches nobody but itself. */
const isLoopback = (hostname: string) => ['localhost', '127.0.0.1', '[::1]'].includes(hostname);

/** A code to be typed or photographed on the other device; good for one use. */
export function CodeCard(props: { code: string; untilMs: number; address: string | null; name: string }) {
  const { code, untilMs } = props;
  const now = useTick(true);
  const place = props.address ?? window.location.origin;
  const address = `${place}/enter#${code}`;
  const { hostname, host } = new URL(place);
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
            {isLoopback(hostname) && (
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
