import { coolantFor, MATERIALS, WETTED, type Wetted } from '.';

const all = new Set(WETTED);
const words = (id: string, on: Wetted, carbide = false): string => coolantFor(id, all, carbide).find((c) => c.on.includes(on))!.words;

it('says something for every work on every metal of the book, each once', () => {
  for (const { id } of MATERIALS)
    expect(
      coolantFor(id, all)
        .flatMap((c) => c.on)
        .sort(),
    ).toEqual([...WETTED].sort());
});

it('as the handbook has it: grey iron dry, ductile and bronze soluble oil, a thread in steel sulphured', () => {
  expect(coolantFor('iron-grey-200', new Set(['turn', 'mill', 'drill']))).toEqual([
    { on: ['turn', 'drill', 'mill'], words: expect.stringMatching(/^dry/) },
  ]);
  expect(words('iron-sg-400', 'turn')).toContain('emulsion');
  expect(words('bronze-tin', 'drill')).toBe('emulsion');
  expect(words('steel-c45', 'thread')).toContain('sulphured');
  expect(words('brass', 'thread')).toContain('without sulphur');
});

it('never advises water where it does harm: on magnesium, in sintered bronze, on laminate', () => {
  for (const id of ['magnesium-cast', 'bronze-sintered', 'phenolic'])
    for (const { words: told } of coolantFor(id, all, true))
      expect(told.replace(/never (water|emulsion)/g, '')).not.toMatch(/water|emulsion/);
});

it('warns of carbide wetted now and then, where it is wetted and turns, and of nothing where the metal is not known', () => {
  expect(words('steel-c45', 'turn', true)).toContain('all the time');
  expect(words('steel-c45', 'mill', true)).not.toContain('all the time');
  expect(words('iron-grey', 'turn', true)).not.toContain('all the time');
  expect(coolantFor('unknown', all)).toEqual([]);
  expect(coolantFor('constructor', all)).toEqual([]);
});
