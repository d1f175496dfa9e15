import { routes, type CustomersResource } from '@iron-patch/contract';
import { caller, jobBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  for (const [customerName, machine] of [
    ['Osmere lake ferry', 'Ferry, bow ramp'],
    ['Osmere lake ferry', 'Ferry, winch'],
    ['Lower mill', 'Sluice'],
    ['Mill of the lake', 'Lift'],
    ['Osmere lake ferry', 'Ferry, bow ramp'],
  ] as const)
    await call.post(routes.jobs, jobBody({ customerName, machine }));
});
afterAll(() => shop.close());

const like = async (name: string): Promise<{ names: string[]; machines: readonly string[] }> => {
  const { customers, machines } = (await call.get(`${routes.customers}?find=${encodeURIComponent(name)}`)).body as CustomersResource;
  return { names: customers.map((c) => c.name), machines };
};

it('offers customers by what is in their name, those that begin with it first', async () => {
  expect((await like('')).names).toEqual(['Lower mill', 'Mill of the lake', 'Osmere lake ferry']);
  expect((await like('mill')).names).toEqual(['Mill of the lake', 'Lower mill']);
  expect((await like('nobody')).names).toEqual([]);
  expect((await like('100%_\\')).names).toEqual([]);
});

it('remembers machines by customer, each once, the newest job’s first; everybody’s while no customer is typed', async () => {
  expect((await like('osmere LAKE ferry')).machines).toEqual(['Ferry, bow ramp', 'Ferry, winch']);
  expect((await like('osmere')).machines).toEqual(['Ferry, bow ramp', 'Lift', 'Sluice', 'Ferry, winch']);
});

it('answers the shop without its customers, however many there are, and some of them when asked', async () => {
  await shop.pool.query(`insert into customers (name) select 'Canal boat ' || n from generate_series(1, 5000) n`);
  const card = await call.get(routes.shop);
  expect(JSON.stringify(card.body)).not.toContain('Canal boat');
  expect((await like('canal')).names).toHaveLength(30);
});
