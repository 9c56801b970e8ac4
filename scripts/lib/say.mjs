// Words to the person at the terminal, and the end of a script that cannot go on.

/** Prints one line for the person who runs the script. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** Ends the script with a reason and, where there is one, the exact command that helps. */
export function giveUp(reason, command) {
  process.stderr.write(`${reason}\n`);
  if (command) process.stderr.write(`\n  ${command}\n\n`);
  process.exit(1);
}
