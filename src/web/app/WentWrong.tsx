import styles from './shell.module.css';

/** An unexpected error: says so, and gives a way back. Commands on their way are kept on the device. */
export function WentWrong(props: { message: string }) {
  return (
    <main className={styles.page} role="alert">
      <h1>Something went wrong here</h1>
      <p>{props.message}</p>
      <p>What you entered is kept on this device and will be sent.</p>
      <p>
        <a href={window.location.pathname}>Load this page again</a> · <a href="/">All projects</a>
      </p>
    </main>
  );
}
