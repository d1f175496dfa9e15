import { testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, show } from '../../../testing/open-sheet';
import { ComponentForm } from './component-form';

const opened = async (components = testSheet().components) => {
  await openSheet(new FakeServer({ ...testSheet(), components }));
  const view = await show(ComponentForm);
  const field = (name: string) => (view.nativeElement as HTMLElement).querySelector<HTMLSelectElement>(`select[name=${name}]`)!;
  const pick = async (name: string, words: string): Promise<void> => {
    const select = field(name);
    select.value = [...select.options].find((o) => o.textContent.trim().startsWith(words))!.value;
    select.dispatchEvent(new Event('change'));
    await view.whenStable();
  };
  const chosen = (name: string): string => field(name).selectedOptions[0]!.textContent.trim();
  return { pick, chosen };
};

it('what is only a mate is not remade, though it is written down first', async () => {
  const { pick, chosen } = await opened([]);
  expect([chosen('role'), chosen('verdict')]).toEqual(['The worn part, to be remade', 'Remake']);
  await pick('role', 'What it runs in');
  expect(chosen('verdict')).toBe('Reuse');
  await pick('role', 'The worn part');
  expect(chosen('verdict')).toBe('Remake');
});

it('a verdict that somebody picked stays, whatever it is', async () => {
  const { pick, chosen } = await opened([]);
  await pick('verdict', 'Buy');
  await pick('role', 'Something else');
  expect(chosen('verdict')).toBe('Buy');
});
