import { OneByOne } from './one-by-one';

describe('a queue that is sent one by one', () => {
  let waiting: number[];
  let sent: number[];
  const line = (send: (n: number) => Promise<boolean>): OneByOne<number> => new OneByOne(() => waiting[0], send);
  const take = (n: number): Promise<boolean> => {
    sent.push(n);
    waiting.shift();
    return Promise.resolve(true);
  };
  beforeEach(() => {
    waiting = [1, 2, 3];
    sent = [];
  });

  it('goes in order to its end, and takes along what comes meanwhile', async () => {
    await line((n) => {
      if (n === 2) waiting.push(4);
      return take(n);
    }).flush();
    expect(sent).toEqual([1, 2, 3, 4]);
  });

  it('stops where there is no use in going on, and begins there again', async () => {
    let open = false;
    const queue = line((n) => (n === 2 && !open ? Promise.resolve(false) : take(n)));
    await queue.flush();
    expect(sent).toEqual([1]);
    open = true;
    await queue.flush();
    expect(sent).toEqual([1, 2, 3]);
  });

  it('who asks while it is at it is answered once what waits is sent', async () => {
    const gates: (() => void)[] = [];
    const queue = line(async (n) => {
      await new Promise<void>((open) => gates.push(open));
      return take(n);
    });
    void queue.flush();
    let done = false;
    const asked = queue.flush().then(() => (done = true));
    for (let i = 0; i < 3; i++) {
      expect(done).toBe(false);
      gates[i]!();
      await new Promise((r) => setTimeout(r));
    }
    await asked;
    expect(sent).toEqual([1, 2, 3]);
  });

  it('never sends the same twice at once', async () => {
    const queue = line(async (n) => {
      await Promise.resolve();
      return take(n);
    });
    await Promise.all([queue.flush(), queue.flush(), queue.flush()]);
    expect(sent).toEqual([1, 2, 3]);
  });

  it('can go on after something broke', async () => {
    let broken = true;
    const queue = line((n) => (broken ? Promise.reject(new Error('no room')) : take(n)));
    await expect(queue.flush()).rejects.toThrow('no room');
    broken = false;
    await queue.flush();
    expect(sent).toEqual([1, 2, 3]);
  });

  it('sends in one page of a browser at a time, and goes on where another ended', async () => {
    const held: (() => void)[] = [];
    let free: Promise<unknown> = Promise.resolve();
    const request = (_: string, work: () => Promise<unknown>): Promise<unknown> => (free = free.then(work));
    Object.defineProperty(navigator, 'locks', { value: { request }, configurable: true });
    try {
      const page = (): OneByOne<number> =>
        new OneByOne(
          () => waiting[0],
          async (n) => {
            await new Promise<void>((r) => held.push(r));
            return take(n);
          },
          'readings',
        );
      const both = [page().flush(), page().flush()];
      for (let i = 0; i < 3; i++) {
        await new Promise((r) => setTimeout(r, 1));
        expect(held).toHaveLength(1);
        held.pop()!();
      }
      await Promise.all(both);
      expect(sent).toEqual([1, 2, 3]);
    } finally {
      Reflect.deleteProperty(navigator, 'locks');
    }
  });
});
