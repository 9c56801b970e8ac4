import { newPiece } from '@core/sourcing/newPiece';
import { Button } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { usePiecePhotos } from '../../app/piecePhotos';
import { TextArea } from '../../ui/input';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import styles from './house.module.css';
import { placeOf, sizeOf } from './words';

/** Pieces in, quickly: a line each as one says it, or ten photos in a row to be sorted out later. */
export function QuickPieces(props: { onAdded: (id: string) => void }) {
  const house = useHouse();
  const { locale, today, run } = house;
  const [line, setLine] = useState('');
  const around = { units: locale.units, currency: locale.currency, today };
  const lines = line.split('\n').filter((entry) => entry.trim() !== '');
  const [first = ''] = lines;
  const understood = first === '' ? null : newPiece('', first, around);
  const queue = usePiecePhotos(house, around);
  const add = () => {
    const pieces = lines.slice(0, 60).map((entry) => newPiece(crypto.randomUUID(), entry, around));
    const [piece] = pieces;
    if (!piece) return;
    run('addPieces', { pieces });
    props.onAdded(piece.id);
    setLine('');
  };
  return (
    <section className={styles.quick} aria-label="Note what is in the house">
      <div className={styles.quickLine}>
        <TextArea
          aria-label="A piece in one line"
          placeholder="tall blue vase, 12 in, mantel"
          value={line}
          autoSize={{ minRows: 1, maxRows: 6 }}
          onChange={(event) => setLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && !event.shiftKey) {
              event.preventDefault();
              add();
            }
          }}
        />
        <Button type="primary" onClick={add} disabled={lines.length === 0}>
          {lines.length > 1 ? `Note ${lines.length}` : 'Note it'}
        </Button>
      </div>
      {understood && (
        <p className={styles.understood} role="status">
          <b>{understood.name}</b>
          {[
            understood.count > 1 ? `${understood.count} of them` : '',
            sizeOf(understood, locale),
            placeOf(understood) || 'no place said',
            understood.roles.join(', '),
            understood.borrowedFrom === '' ? '' : `borrowed from ${understood.borrowedFrom}`,
          ]
            .filter((word) => word !== '')
            .join(' · ')}
        </p>
      )}
      <PhotoQueueDrop label="Photograph pieces" hint="ten in a row is fine: sort them out later" queue={queue} />
    </section>
  );
}
