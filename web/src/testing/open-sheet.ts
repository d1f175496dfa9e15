import { type Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { JobSheet } from '@iron-patch/core';
import { LOCALE } from '../app/app.config';
import { SessionStore, ShopStore } from '../app/data';
import { SheetStore } from '../app/sheet-data';
import { Axis } from '../app/picture';
import { BASE } from './base';
import type { FakeServer } from './fake-server';

/** A sheet store with the fake server's job open and Tomas at the bench. */
export async function openSheet(server: FakeServer): Promise<InstanceType<typeof SheetStore>> {
  localStorage.clear();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([]), ...LOCALE, Axis] });
  TestBed.inject(SessionStore).choosePerson('tomas');
  await TestBed.inject(ShopStore).load();
  const store = TestBed.inject(SheetStore);
  await store.open(server.sheet.job.id);
  return store;
}

/** A component over the open sheet, drawn once. */
export async function show<T>(component: Type<T>, inputs: Readonly<Record<string, unknown>> = {}): Promise<ComponentFixture<T>> {
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  return fixture;
}

/** The words of a drawn component as they stand apart on the screen, white space folded. */
export function words(fixture: ComponentFixture<unknown>): string {
  const walker = document.createTreeWalker(fixture.nativeElement as HTMLElement, NodeFilter.SHOW_TEXT);
  const texts: string[] = [];
  while (walker.nextNode()) texts.push(walker.currentNode.textContent ?? '');
  return texts.join(' ').replace(/\s+/g, ' ').trim();
}

const IDS: Readonly<Record<string, string>> = {
  pin: '0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d',
  barrel: '1b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d',
  body: '2b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d',
};

/** The same sheet with ids as the server gives them, where the contract's checks look at them. */
export const withServerIds = (sheet: JobSheet): JobSheet =>
  JSON.parse(
    JSON.stringify(sheet).replace(
      /("(?:componentId|placeId|matesPlaceId|id)":|"fitsPlaceIds":\[|fit:)"?(pin|barrel|body)"/g,
      (_, before: string, name: string) => (before === 'fit:' ? `fit:${IDS[name]!}"` : `${before}"${IDS[name]!}"`),
    ),
  ) as JobSheet;

/** Presses a button or a tab by the start of its name. */
export async function press(fixture: ComponentFixture<unknown>, name: string): Promise<void> {
  const buttons = [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('button, [role=tab]')];
  const nameOf = (b: HTMLElement): string => (b.getAttribute('aria-label') ?? b.textContent ?? '').replace(/\s+/g, ' ').trim();
  const button = buttons.find((b) => nameOf(b) === name) ?? buttons.find((b) => nameOf(b).startsWith(name));
  if (!button) throw new Error(`There is no button “${name}” among ${buttons.map(nameOf).join(', ')}.`);
  button.click();
  await fixture.whenStable();
}

/** Types into an input found by a selector. */
export async function type(fixture: ComponentFixture<unknown>, selector: string, text: string): Promise<void> {
  const input = (fixture.nativeElement as HTMLElement).querySelector<HTMLInputElement>(selector)!;
  input.value = text;
  input.dispatchEvent(new Event('input', { bubbles: true }));
  await fixture.whenStable();
}

/** Lets promises that are under way come to their end. */
export const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 5));
