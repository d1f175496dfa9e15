/* global AbortController, TextDecoderStream */
import { randomUUID } from 'node:crypto';

/** An answer may take so long; beyond it the server hangs, unless it is stopped on purpose. */
const HUNG_MS = 15_000;
/** Of the requests, so many lose their answer on the way: the sender hangs up and sends again. */
const LOST_ANSWERS = 0.06;
const pause = (ms) => new Promise((r) => setTimeout(r, ms));

/** What happened to all that was sent. */
export const newTally = () => ({ sent: 0, answered: 0, notNow: 0, noAnswer: 0, hung: 0, lostOnPurpose: 0, strange: [], slowestMs: 0 });

/**
 * Speaks to the shop as a screen does: what was not answered, or not now, is sent again under its key until it is known what became of it.
 *
 * @param stopped whether the server is stopped on purpose just now
 */
export function screenOf({ address, tally, random, stopped, personId }) {
  async function once(method, path, body, headers) {
    tally.sent++;
    const from = performance.now();
    const hangsUp = random() < LOST_ANSWERS;
    const patience = hangsUp ? 1 + random() * 12 : HUNG_MS;
    try {
      const response = await fetch(address + path, {
        method,
        headers: { 'Content-Type': 'application/json', 'X-Person': personId, ...headers },
        signal: AbortSignal.timeout(Math.round(patience)),
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
      const text = await response.text();
      tally.answered++;
      if (!stopped()) tally.slowestMs = Math.max(tally.slowestMs, performance.now() - from);
      return { status: response.status, body: text ? JSON.parse(text) : null };
    } catch (e) {
      if (hangsUp) tally.lostOnPurpose++;
      else if (e.name === 'TimeoutError' && !stopped()) tally.hung++;
      else tally.noAnswer++;
      return null;
    }
  }
  return {
    /** Sends until it is known what became of it: an answer that is neither a refusal for now nor our own fault. */
    async send(method, path, body, headers = {}) {
      for (;;) {
        const answer = await once(method, path, body, headers);
        if (answer && answer.status !== 503 && answer.status !== 429) {
          if (answer.status < 500) return answer;
          tally.strange.push(`${method} ${path}: ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`);
        } else if (answer) tally.notNow++;
        await pause(20 + 60 * random());
      }
    },
  };
}

/** A reading as a screen sends it. */
export const readingOf = ({ id, placeId, instrumentId, text }) => ({
  ...{ id, purpose: 'found', placeId, segmentId: null, quantity: 'size', stationMm: 5, clockDeg: 0, text, unit: 'mm', instrumentId },
  ...{ partTempC: null, dial: null, takenAt: new Date().toISOString(), supersedesId: null, withdrawn: false, confirmed: true },
});

/**
 * Types readings, each once, until it is told to stop; every other writer sends several that waited at once.
 *
 * @returns texts of those that were acknowledged
 */
export async function writer({ screen, jobId, personId, placeId, instrumentId, name, going, tally }) {
  const acknowledged = [];
  const told = (reading, { status, body }) => {
    if (status === 201) acknowledged.push(reading.text);
    else tally.strange.push(`a reading: ${status} ${JSON.stringify(body)}`);
  };
  const together = name % 2 ? 1 + (name % 6) : 1;
  let typed = 0;
  // Every text is typed once in this run: a reading recorded twice would show.
  const next = () =>
    readingOf({
      id: randomUUID(),
      placeId,
      instrumentId,
      text: `39.9${String(name).padStart(2, '0')}${String(typed++).padStart(6, '0')}`,
    });
  while (going()) {
    let waiting = Array.from({ length: together }, next);
    if (together === 1)
      told(waiting[0], await screen.send('POST', `/api/jobs/${jobId}/readings`, waiting[0], { 'Idempotency-Key': waiting[0].id }));
    else
      while (waiting.length) {
        const readings = waiting.map((input) => ({ jobId, personId, input }));
        const { status, body } = await screen.send('POST', '/api/readings', { readings });
        if (status !== 200) throw new Error(`Several readings: ${status} ${JSON.stringify(body)}`);
        body.answers.forEach((answer, i) => told(waiting[i], answer));
        waiting = waiting.slice(body.answers.length);
      }
    await pause(10);
  }
  return acknowledged;
}

/** Counts a job's title up, each time from what was read; counts its own acknowledged steps. */
export async function editor({ screen, jobId, going, tally }) {
  let steps = 0;
  let refused = 0;
  while (going()) {
    const { body: job } = await screen.send('GET', `/api/jobs/${jobId}`);
    const next = { ...job, customerName: 'Lower mill', customerContact: '', title: `Step ${Number(job.title.split(' ')[1]) + 1}` };
    const { status, body } = await screen.send('PUT', `/api/jobs/${jobId}`, next, {
      'If-Match': `"v${job.version}"`,
      'Idempotency-Key': randomUUID(),
    });
    if (status === 200) steps++;
    else if (status === 412) {
      refused++;
      if (!(body.current?.version > job.version)) tally.strange.push(`a 412 without what is stored now: ${JSON.stringify(body)}`);
    } else tally.strange.push(`a change: ${status} ${JSON.stringify(body)}`);
    await pause(15);
  }
  return { steps, refused };
}

/** A line that was lost is taken up again after so long, ms. */
const BACK_MS = 200;

/**
 * Has a job open as a screen does: fetches it whenever the live line says that something of it was stored, and whenever the line is back.
 *
 * @returns the version that it shows in the end, and how often its line was taken up anew
 */
export async function watcher({ address, screen, jobId, going }) {
  let shown = 0;
  let lines = 0;
  let wanted = true;
  let fetching = null;
  const fetchIt = async () => {
    while (wanted) {
      wanted = false;
      const { body } = await screen.send('GET', `/api/jobs/${jobId}`);
      shown = Math.max(shown, body.version);
    }
    fetching = null;
  };
  const look = () => {
    wanted = true;
    fetching ??= fetchIt();
  };
  const ended = new AbortController();
  const listen = async () => {
    while (going()) {
      try {
        const response = await fetch(`${address}/api/live`, { signal: ended.signal });
        if (!response.ok) throw new Error(String(response.status));
        lines++;
        let rest = '';
        for await (const text of response.body.pipeThrough(new TextDecoderStream())) {
          const blocks = (rest + text).split('\n\n');
          rest = blocks.pop();
          for (const block of blocks) if (block.includes('event: hello') || block.includes(jobId)) look();
        }
      } catch {
        // Lost: it is taken up again.
      }
      await pause(BACK_MS);
    }
  };
  const line = listen();
  while (going()) await pause(50);
  return {
    jobId,
    /** Nothing is stored any more: what comes in now is the last. */
    async settled(ms) {
      await pause(ms);
      ended.abort();
      await line;
      await fetching;
      return { jobId, shown, lines };
    },
  };
}
