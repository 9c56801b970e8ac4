import { useEffect, useRef, useState } from 'react';
import styles from './card.module.css';

/** A picture of the piece on the card, if wanted; it is kept once the piece is decided. */
export function CardPhoto(props: { photo: File | null; onPick: (photo: File | null) => void }) {
  const { photo } = props;
  const input = useRef<HTMLInputElement>(null);
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    if (photo === null) return setAddress(null);
    const made = URL.createObjectURL(photo);
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [photo]);
  return (
    <span className={styles.photo}>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="Picture of the piece"
        onChange={(event) => {
          props.onPick(event.target.files?.[0] ?? null);
          event.target.value = '';
        }}
      />
      {address && <img src={address} alt="The piece on the card" />}
      <button
        type="button"
        className={styles.chip}
        onClick={() => (photo === null ? input.current?.click() : props.onPick(null))}
      >
        {photo === null ? 'Photo' : 'No photo'}
      </button>
    </span>
  );
}
