import { threadedKind, TOOL_KINDS, TOOL_WORDS } from './tool';

it('taps and dies are of one thread, everything else of a size or of none', () =>
  expect(TOOL_KINDS.filter(threadedKind)).toEqual(['tap', 'die']));

it('every kind has a word of its own', () => {
  const words = TOOL_KINDS.map((k) => TOOL_WORDS[k]);
  expect(new Set(words).size).toBe(TOOL_KINDS.length);
  expect(words).not.toContain('');
});
