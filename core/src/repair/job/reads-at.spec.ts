import { surface } from '../../making/part';
import { choiceKey } from './choices';
import { readsAt } from './reads-at';
import { workOut } from './repair';
import { drawnPin, testChoice, testSheet, testShop } from './testing';

const part = {
  ...drawnPin(),
  bores: [{ id: 'b', from: 'near', through: false, surfaces: [surface('oil', 'cylinder', 'Oil bore', 20, 8)] }],
};
const repair = workOut(testSheet({ choices: [testChoice(choiceKey.part, part)] }), testShop);
const spot = { stationMm: 0, clockDeg: 0, quantity: 'size' } as const;
const of = (segmentId: string | null, placeId: string | null = null) => readsAt(repair, { placeId, segmentId, spot });

it.each([
  ['body', 'outside', 'outside'],
  ['oil', 'inside', 'inside'],
  ['body.length', 'outside', 'length'],
  ['oil.length', 'outside', 'depth'],
])('%s of the new part', (key, side, reads) => expect(of(key)).toEqual({ side, reads }));

it('a place is read as its quantity says', () => {
  expect(of(null, 'barrel')).toEqual({ side: 'inside', reads: 'inside' });
  expect(of(null, 'body')).toEqual({ side: 'outside', reads: 'outside' });
});
