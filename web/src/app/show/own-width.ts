import { DestroyRef, ElementRef, inject, signal, type Signal } from '@angular/core';

/**
 * How wide a picture is to be laid out, px: as wide as the component that asks is drawn, so that its words do not grow smaller with it, no
 * wider than it is meant to be, and not so narrow that they lie over one another.
 *
 * @param widest as it is meant to be; it stands until it was drawn
 * @param narrowest from there on it is pushed sideways
 */
export function ownWidth(widest: number, narrowest: number): Signal<number> {
  const width = signal(widest);
  const element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  if (typeof ResizeObserver === 'undefined') return width;
  const watch = new ResizeObserver(([entry]) => {
    const { width: now } = entry!.contentRect;
    if (now > 0) width.set(Math.max(narrowest, Math.min(widest, now)));
  });
  watch.observe(element);
  inject(DestroyRef).onDestroy(() => watch.disconnect());
  return width;
}
