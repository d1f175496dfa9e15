const LOOK_MS = 500;
const BACK_OFF_MS = { first: 200, most: 5000 };
/** So many deaths within a minute are no accident. */
const TOO_MANY = 5;
const MINUTE_MS = 60_000;

/**
 * Looks after something that should run: what died is started again, each time after a longer wait, with a line that says so.
 *
 * @param what its name in a sentence
 * @param isUp whether it runs
 * @param start starts it; resolves when it runs
 * @param log the file that tells why it died
 * @returns stops looking
 */
export function keepUp({ what, isUp, start, log, say = console.log }) {
  let stopped = false;
  let waitMs = BACK_OFF_MS.first;
  let deaths = [];
  let upSince = Date.now();
  const pause = (ms) => new Promise((r) => setTimeout(r, ms));
  const look = async () => {
    while (!stopped) {
      await pause(LOOK_MS);
      if (stopped) return;
      if (isUp()) {
        if (Date.now() - upSince > MINUTE_MS) waitMs = BACK_OFF_MS.first;
        continue;
      }
      deaths = [...deaths.filter((at) => Date.now() - at < MINUTE_MS), Date.now()];
      say(
        deaths.length >= TOO_MANY
          ? `${what} died ${deaths.length} times within a minute. Read ${log}: its last lines say why. It is tried again all the same.`
          : `${what} died: it is started again.`,
      );
      await pause(waitMs);
      waitMs = Math.min(2 * waitMs, BACK_OFF_MS.most);
      if (stopped) return;
      try {
        await start();
        upSince = Date.now();
        say(`${what} runs again.`);
      } catch (e) {
        say(`${what} could not be started: ${e.message}`);
      }
    }
  };
  const looking = look();
  return async () => {
    stopped = true;
    await looking;
  };
}
