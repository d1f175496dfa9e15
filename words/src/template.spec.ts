import type { TmplAstElement, TmplAstText } from '@angular/compiler';
import { parseTemplate } from '@angular/compiler';
import { put } from './put';
import { sitesOfTemplate } from './template';

const textsOf = (template: string): string[] => sitesOfTemplate(template, 'a.html').map((s) => s.text);

it.each<[string, string, string[]]>([
  ['a text', '<p>Nothing here yet</p>', ['Nothing here yet']],
  ['a text with values', '<p>\n  {{ n }} of {{ all() }} read\n</p>', ['{1} of {2} read']],
  ['elements within a sentence', '<p>Touch <b class="x">the {{ what }}</b> first</p>', ['Touch {1}the {2}{/1} first']],
  ['what is read aloud', '<button aria-label="Take off" class="Some thing"><i></i></button>', ['Take off']],
  ['an attribute with a value', '<p title="Shop {{ t }} degrees"></p>', ['Shop {1} degrees']],
  ['a sum of texts', `<b [attr.aria-label]="'Marker ' + (i + 1) + ': ' + words(m)"></b>`, ['Marker {1}: {2}']],
  ['arms of a choice', `<p>{{ a ? 'late' : 'in time' }}</p>`, ['late', 'in time']],
  [
    'blocks',
    '@if (a) { <p>Late</p> } @else { <p>In time</p> } @for (b of c; track b) { <i>Bar</i> } @empty { <i>No bar</i> }',
    ['Late', 'In time', 'Bar', 'No bar'],
  ],
  ['a counted noun', `<p>{{ countOf(n, 'push', 'pushes') }}</p>`, ['push']],
  ['entities', '<p>Stock &amp; saw</p>', ['Stock & saw']],
])('is wording: %s', (_, template, found) => expect(textsOf(template)).toEqual(found));

it.each<[string, string]>([
  ['keys', `<p [class.on]="state === 'not there'" (click)="go('the floor')"></p>@if (kind === 'Bent Rod') {}`],
  ['figures and signs', '<p>{{ n }} mm</p><p>±{{ u }}</p><svg viewBox="0 0 20 20"></svg>'],
])('is no wording: %s', (_, template) => expect(textsOf(template)).toEqual([]));

it('says it otherwise: values and elements in another order, signs of the template sheltered', () => {
  const source = '<p>Touch <b class="x">the {{ what }}</b> first</p>';
  const written = put(source, sitesOfTemplate(source, 'a.html'), () => ['{1}Zuerst {2}{/1} berühren, {so} <gut> & @bald']);
  expect(written).toBe('<p><b class="x">Zuerst {{ what }}</b> berühren, &#123;so&#125; &lt;gut&gt; &amp; &#64;bald</p>');
  const [p] = parseTemplate(written, 'b.html').nodes as [TmplAstElement];
  expect((p.children[1] as TmplAstText).value).toBe(' berühren, {so} <gut> & @bald');
});

it('keeps quotes apart where the words stand in an expression of an attribute', () => {
  const source = `<b [title]="late ? 'Too late' : other">x</b>`;
  const written = put(source, sitesOfTemplate(source, 'a.html'), () => [`C'est "tard"`]);
  const [b] = parseTemplate(written, 'b.html').nodes as [TmplAstElement];
  expect(parseTemplate(written, 'b.html').errors).toBeNull();
  expect(JSON.stringify(b.inputs[0]!.value)).toContain(JSON.stringify(`C'est "tard"`).slice(1, -1));
});
