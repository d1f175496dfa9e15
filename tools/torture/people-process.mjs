import { editor, newTally, screenOf, watcher, writer } from './people.mjs';
import { randomOf } from './random.mjs';

/** The people of a torture, in a process of their own: whoever breaks things beside them is busy meanwhile. */
/** News has come to every screen so long after the last change. */
const SETTLED_MS = 2000;
const { address, seed, writers, editors, watchers } = JSON.parse(process.argv[2]);
const tally = newTally();
let going = true;
let stopped = false;
const common = (n, personId) => ({
  screen: screenOf({ address, tally, random: randomOf(seed + n), stopped: () => stopped, personId }),
  going: () => going,
  tally,
});
const work = Promise.all([
  Promise.all(writers.map((w, n) => writer({ ...w, ...common(n + 1, w.personId), name: n }))),
  Promise.all(editors.map((e, n) => editor({ ...e, ...common(n + 101, e.personId) }))),
]);
const lines = watchers.map((w, n) => watcher({ ...w, address, ...common(n + 201, 'tomas') }));
process.on('message', (said) => {
  if (said === 'finish') going = false;
  else stopped = said.stopped;
});
const [acknowledged, edits] = await work;
const screens = await Promise.all((await Promise.all(lines)).map((w) => w.settled(SETTLED_MS)));
process.send({ acknowledged: acknowledged.flat(), edits, tally, screens }, () => process.exit(0));
