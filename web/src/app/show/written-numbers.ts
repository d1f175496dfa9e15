import { RendererFactory2, type Provider, type Renderer2, type RendererType2 } from '@angular/core';
import { ɵDomRendererFactory2 as DomRendererFactory } from '@angular/platform-browser';
import { DecimalMarks } from '../data/decimal-marks';

/** Attributes that people read or hear. */
const SPOKEN = new Set(['aria-label', 'aria-valuetext', 'aria-description', 'title', 'placeholder', 'alt']);
/** What somebody wrote themselves stays as they wrote it. */
const VERBATIM = '[data-verbatim]';

/** A field that holds figures, not words. */
const holdsFigures = (el: unknown): el is HTMLInputElement => el instanceof HTMLInputElement && el.matches('.fig, [inputmode=decimal]');

/** The cursor stays where it is: what is written is as long as what stood there. */
function keepingCursor(el: HTMLInputElement, write: () => void): void {
  const { selectionStart, selectionEnd } = el;
  write();
  if (el === el.ownerDocument.activeElement && selectionStart !== null) el.setSelectionRange(selectionStart, selectionEnd);
}

/** A renderer that writes numbers as the shop does, over the one that knows the page. */
function writing(page: Renderer2, marks: DecimalMarks): Renderer2 {
  const own: Pick<Renderer2, 'createText' | 'setValue' | 'setAttribute' | 'setProperty'> = {
    createText: (text: string): unknown => page.createText(marks.written(text)),
    setValue: (node: Text, text: string) => page.setValue(node, node.parentElement?.closest(VERBATIM) ? text : marks.written(text)),
    setAttribute: (el: Element, name, value, namespace) =>
      page.setAttribute(el, name, SPOKEN.has(name) ? marks.written(value) : value, namespace),
    setProperty: (el: Element, name, value: unknown) => {
      if (typeof value !== 'string') return page.setProperty(el, name, value);
      if (SPOKEN.has(name)) return page.setProperty(el, name, marks.written(value));
      if (name !== 'value' || !holdsFigures(el)) return page.setProperty(el, name, value);
      const text = marks.written(value);
      if (el.value !== text) keepingCursor(el, () => page.setProperty(el, name, text));
    },
  };
  return Object.assign(Object.create(page) as Renderer2, own);
}

/** All that the page shows goes through here: numbers are written as the shop writes them. */
export const WRITTEN_NUMBERS: Provider = {
  provide: RendererFactory2,
  deps: [DomRendererFactory, DecimalMarks],
  useFactory: (page: DomRendererFactory, marks: DecimalMarks): RendererFactory2 => {
    const made = new WeakMap<Renderer2, Renderer2>();
    const createRenderer = (host: unknown, type: RendererType2 | null): Renderer2 => {
      const plain = page.createRenderer(host, type);
      const kept = made.get(plain) ?? writing(plain, marks);
      made.set(plain, kept);
      return kept;
    };
    return Object.assign(Object.create(page) as RendererFactory2, { createRenderer });
  },
};
