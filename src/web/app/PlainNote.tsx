import shell from './shell.module.css';

/** Says what a page without TLS has to do without. */
export function PlainNote() {
  if (window.isSecureContext) return null;
  return (
    <p role="note" className={`muted small ${shell.plain}`}>
      This page came without TLS. All of it works, and what is typed is kept here until it is sent; but the app itself
      is not kept for offline, and the screen may go dark at the bench. Opened by https it does both.
    </p>
  );
}
