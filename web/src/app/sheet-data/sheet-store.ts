import { computed, effect, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { routes, type ChoiceInput, type SheetRow, type SheetRows } from '@iron-patch/contract';
import {
  choiceKey,
  pictureModel,
  type ChoiceRecord,
  type ComponentRecord,
  type PlaceRecord,
  type Figure,
  type JobSheet,
  type PhotoRecord,
  type ReadingRecord,
  type ItemChoice,
  type JobItem,
  type Repair,
  seenAt,
} from '@iron-patch/core';
import { Api, ApiProblem, Live, NO_ANSWER, NoAnswer, newId, OpenJob, Outbox, PhotoOutbox, SessionStore, ShopStore, Told } from '../data';
import { replaceById, replaceChoice, sheetResources } from './sheet-resources';
import { Foresight, type TypedReading } from './foresight';
import { SheetNews } from './sheet-news';
import { START, type Selection, type SheetState } from './sheet-state';
import { componentAgain, placeAgain, type Undo, type UndoStep } from './undo';
import { SAME_SHEET, shownSheet, standsFor } from './shown-sheet';
import { NO_STEPS } from './drawing-steps';
import { drawingsOf } from './drawings';
import { keptDrawings } from './kept-drawing';
import { mergeRows } from './merge-rows';
import { shareUnchanged } from './share-unchanged';

const MOST_ACKNOWLEDGED = 2000;
const MOST_UNDOS = 50;

/** The open job: what the server has, what is on its way, and everything that core works out from both. */
export const SheetStore = signalStore(
  { providedIn: 'root' },
  withState<SheetState>(START),
  withComputed(
    (store, shop = inject(ShopStore), session = inject(SessionStore), outbox = inject(Outbox), foresight = inject(Foresight)) => {
      const shown = computed(() => {
        const sheet = store.sheet();
        return sheet && shownSheet(sheet, outbox.items(), store.drafts());
      }, SAME_SHEET);
      const worked = computed((): { readonly repair: Repair | null; readonly trouble: string } => {
        const sheet = shown();
        if (!sheet || !shop.loaded()) return { repair: null, trouble: '' };
        try {
          return { repair: foresight.repairOf(sheet, shop.shop()), trouble: '' };
        } catch (e) {
          return { repair: null, trouble: String(e) };
        }
      });
      const repair = computed(() => {
        const all = worked().repair;
        return all && seenAt(all, store.itemId(), store.pieceNumber());
      });
      const item = computed(() => repair()?.at?.item ?? null);
      const draft = computed(() => store.drafts()[item()?.id ?? ''] ?? null);
      return {
        shown,
        repair,
        /** The item that is looked at; null where the job has none. */
        item,
        /** Item and piece as a reading and a proof name them. */
        atPiece: computed(() => ({ itemId: item()?.id ?? null, piece: repair()?.piece?.piece.number ?? 1 })),
        /** Its drawing that is not saved yet, and the version of the saved one that it began from. */
        draftPart: computed(() => draft()?.part ?? null),
        draftFrom: computed(() => draft()?.from ?? 0),
        /** The ways back and on from it. */
        drawingSteps: computed(() => store.steps()[item()?.id ?? ''] ?? NO_STEPS),
        /** Why the job cannot be worked out; empty where it can. */
        trouble: computed(() => worked().trouble),
        picture: computed(() => {
          const [r, sheet] = [repair(), shown()];
          return r && sheet && pictureModel(r, store.pictured(), sheet);
        }),
        /** The newest thing that can be taken back. */
        undo: computed(() => store.undos().at(-1) ?? null),
        unit: computed(() => session.unitFor(store.sheet()?.job.id) ?? store.sheet()?.job.unit ?? 'mm'),
        next: computed(() => repair()?.next ?? null),
      };
    },
  ),
  withMethods(
    (
      store,
      api = inject(Api),
      outbox = inject(Outbox),
      shop = inject(ShopStore),
      session = inject(SessionStore),
      foresight = inject(Foresight),
      told = inject(Told),
    ) => {
      const patchSheet = (change: (s: JobSheet) => JobSheet): void => patchState(store, (s) => ({ sheet: s.sheet && change(s.sheet) }));
      const jobId = (): string => store.sheet()!.job.id;
      const remember = (undo: Undo): void => patchState(store, (s) => ({ undos: [...s.undos, undo].slice(-MOST_UNDOS) }));
      const say = (text: string, bad = false): void => patchState(store, { message: { text, bad } });

      // Readings that the server has acknowledged to this page. A sheet that was asked for before one of them was stored may come
      // after it was acknowledged: what is on record never goes off the screen for that.
      const acknowledged: ReadingRecord[] = [];
      const withAcknowledged = (sheet: JobSheet): JobSheet => {
        const known = new Set(sheet.readings.map((r) => r.id));
        const missing = acknowledged.filter((r) => r.jobId === sheet.job.id && !known.has(r.id));
        return missing.length ? { ...sheet, readings: [...sheet.readings, ...missing] } : sheet;
      };

      // How often something was stored from here: a sheet that was asked for before that is of before.
      let stored = 0;
      const asItStands = async (id: string): Promise<JobSheet> => {
        for (;;) {
          const asked = stored;
          const sheet = await api.get<JobSheet>(routes.sheet(id));
          if (stored === asked) return withAcknowledged(sheet);
        }
      };

      const refresh = async (): Promise<void> => {
        const id = store.sheet()?.job.id;
        if (!id) return;
        const sheet = await asItStands(id).catch(told.or(null));
        if (sheet && store.sheet()?.job.id === id) patchState(store, { sheet: shareUnchanged(store.sheet(), sheet) });
      };

      /** Fetches what others changed; false where no answer came. */
      const fetchRows = async (asked: readonly SheetRow[]): Promise<boolean> => {
        const id = store.sheet()?.job.id;
        if (!id) return true;
        const of = encodeURIComponent(JSON.stringify(asked));
        const rows = await api.get<SheetRows>(`${routes.sheetRows(id)}?of=${of}`).catch(told.or(null));
        const sheet = store.sheet();
        if (rows && sheet?.job.id === id)
          patchState(store, { sheet: shareUnchanged(sheet, withAcknowledged(mergeRows(sheet, asked, rows))) });
        return rows !== null;
      };

      /** What was refused because somebody else had changed it, over theirs. */
      let mine: (() => Promise<unknown>) | null = null;

      /** Does something on the server; a change by another becomes a question, everything else is told and thrown on. */
      const attempt = async <T>(
        what: string,
        act: (version: number) => Promise<T>,
        version: number,
        done: (result: T) => void,
      ): Promise<T | null> => {
        try {
          const result = await act(version);
          stored++;
          done(result);
          patchState(store, { message: null, conflict: null });
          return result;
        } catch (e) {
          if (e instanceof ApiProblem && e.details.status === 412) {
            const now = (e.details.current as { version?: number } | null)?.version ?? 0;
            await refresh();
            mine = () => attempt(what, act, now, done);
            patchState(store, { conflict: { what } });
            return null;
          }
          if (e instanceof NoAnswer) say(NO_ANSWER, true);
          else if (e instanceof ApiProblem) say(`${e.details.title} ${e.details.detail}`, true);
          throw e;
        }
      };

      const afterReadings = <T>(act: () => Promise<T>): Promise<T> => (outbox.waiting() ? outbox.flush().then(act) : act());

      const putChoice = (
        key: string,
        what: string,
        value: unknown,
        reason = '',
        undoable = true,
        readAt?: number,
        pin = '',
      ): Promise<ChoiceRecord | null> => {
        const before = store.sheet()!.choices.find((c) => c.key === key);
        const body: ChoiceInput = { value, reason };
        const put = (version: number): Promise<ChoiceRecord> => api.put<ChoiceRecord>(routes.choice(jobId(), key), body, version, pin);
        const judged = key.startsWith(choiceKey.act('')) || key === choiceKey.returned;
        return attempt(
          what,
          (version) => (judged ? afterReadings(() => put(version)) : put(version)),
          readAt ?? before?.version ?? 0,
          (choice) => {
            patchSheet((s) => ({ ...s, choices: replaceChoice(s.choices, choice) }));
            if (undoable) remember({ what, step: { kind: 'choice', key, value: before?.value ?? null } });
          },
        );
      };

      const addReading = (typed: TypedReading, valueMm: number): string => {
        const record = foresight.taken(jobId(), typed, session.personId(), valueMm);
        standsFor(outbox.add(jobId(), { ...typed, id: record.id, takenAt: record.takenAt }, valueMm), record);
        return record.id;
      };

      const withdraw = (reading: ReadingRecord): void => {
        const { id, jobId: _, personId: __, takenAt: ___, valueMm: ____, ...there } = reading;
        addReading({ ...there, text: '', partTempC: null, dial: null, supersedesId: id, withdrawn: true, confirmed: true }, 0);
      };

      const drawings = drawingsOf(store, jobId);
      const resources = sheetResources({ api, jobId, attempt, patchSheet, afterReadings });
      const cameBack = (wasId: string, now: { readonly id: string } | null): void => {
        if (now) patchState(store, (s) => ({ renamed: { ...s.renamed, [wasId]: now.id } }));
      };

      async function takeBack(what: string, step: UndoStep): Promise<void> {
        if (step.kind === 'choice') await putChoice(step.key, what, step.value, 'undone', false);
        else if (step.kind === 'changed') {
          const present = store.sheet()?.components.find((c) => c.id === (store.renamed()[step.was.id] ?? step.was.id));
          if (present) await resources.saveComponent(present, componentAgain(step.was, store.renamed()));
        } else if (step.kind === 'component')
          cameBack(step.was.id, await resources.addComponent(componentAgain(step.was, store.renamed()), newId()));
        else if (step.kind === 'place') cameBack(step.was.id, await resources.addPlace(placeAgain(step.was, store.renamed()), newId()));
        else {
          const taken = store.shown()?.readings.find((r) => r.id === step.id);
          if (taken) withdraw(taken);
        }
      }

      /** A removal that can be taken back: null where somebody else had changed it first. */
      async function removing(what: string, done: Promise<true | null>, step: UndoStep): Promise<void> {
        if ((await done) !== null) remember({ what: `removing ${what}`, step });
      }

      return {
        ...resources,
        ...drawings,
        say,
        /** The server’s word on an act stands on the sheet already: only what is none of the server’s is told. */
        bug: told.bug,
        or: told.or,
        refresh,
        fetchRows,
        putChoice,
        withdraw,
        async open(id: string): Promise<void> {
          patchState(store, { wantedId: id });
          if (store.sheet()?.job.id !== id) {
            patchState(store, {
              ...START,
              wantedId: id,
              drafts: keptDrawings(id),
            });
          }
          try {
            patchState(store, { sheet: await asItStands(id), missing: false });
          } catch (e) {
            if (e instanceof ApiProblem && e.details.status === 404) patchState(store, { missing: true });
            else say('The server does not answer. The sheet comes when it is back.', true);
          }
        },
        select: (selection: Partial<Selection>): void =>
          patchState(store, ({ selection: before }) => {
            const stays = selection.spanId === undefined || selection.spanId === before.spanId;
            return {
              selection: { ...before, quantity: null, asked: undefined, ...(stays ? {} : { afterActId: undefined }), ...selection },
              // The Working starts anew at another place.
              ...(stays ? {} : { figure: null }),
            };
          }),
        show: (figure: Figure | null): void => patchState(store, { figure }),
        turnTo: (leaf: string | null): void => patchState(store, { leaf }),
        lookAt: (pictured: 'worn' | 'new'): void => patchState(store, { pictured }),
        /** Turns to another item, or another piece of it. */
        seeItem(itemId: string, pieceNumber: number | null = null): void {
          patchState(store, ({ selection, itemId: before }) => ({
            itemId,
            pieceNumber,
            ...(itemId === before ? {} : { selection: { ...selection, spanId: null, stationMm: null, clockDeg: null }, figure: null }),
          }));
        },
        /** Stores what is said of an item. */
        putItem: (item: Pick<JobItem, 'key' | 'name' | 'version'>, change: ItemChoice): Promise<ChoiceRecord | null> =>
          putChoice(item.key, change.name || item.name, change, '', true, item.version),
        clearMessage: (): void => patchState(store, { message: null }),
        takeTheirs: (): void => patchState(store, { conflict: null }),
        keepMine: async (): Promise<void> => void (await mine?.()),
        async undoLast(): Promise<void> {
          const undo = store.undo();
          patchState(store, (s) => ({ undos: s.undos.slice(0, -1) }));
          if (undo) await takeBack(undo.what, undo.step);
        },
        /** Says that a component came out of another, or stands by itself. */
        async moveComponent(was: ComponentRecord, parentId: string | null): Promise<void> {
          const moved = await resources.saveComponent(was, { ...componentAgain(was, {}), parentId });
          if (moved) remember({ what: `moving ${was.name}`, step: { kind: 'changed', was } });
        },
        removeComponent: (was: ComponentRecord) => removing(was.name, resources.removeComponent(was), { kind: 'component', was }),
        removePlace: (was: PlaceRecord) => removing(was.name, resources.removePlace(was), { kind: 'place', was }),
        /** Works out what a reading that is being typed would change; it does not count yet. */
        foresee(typed: TypedReading, valueMm: number): void {
          const sheet = store.shown();
          if (sheet && shop.loaded()) foresight.foresee(sheet, shop.shop(), typed, session.personId(), valueMm);
        },
        /** Takes a reading; it counts at once and is on record as soon as the server has it. */
        takeReading(input: TypedReading, valueMm: number): void {
          const id = addReading(input, valueMm);
          remember({ what: `reading ${input.text}`, step: { kind: 'reading', id } });
        },
        /** Says that a reading was taken in another state of the part; it stays as typed, and the old word on it stays on record. */
        moveReading(r: ReadingRecord, afterActId: string | null): void {
          const { id, jobId: _, personId: __, takenAt: ___, ...rest } = r;
          addReading({ ...rest, afterActId, supersedesId: id, confirmed: true }, r.valueMm);
        },
        acknowledgePhoto: (photo: PhotoRecord): void => {
          if (store.sheet()?.job.id === photo.jobId) patchSheet((s) => ({ ...s, photos: replaceById(s.photos, photo) }));
        },
        acknowledge: (stored: ReadingRecord): void => {
          const waiting = store.shown()?.readings.findLast((r) => r.id === stored.id);
          const reading = shareUnchanged(waiting, stored);
          acknowledged.push(reading);
          if (acknowledged.length > MOST_ACKNOWLEDGED) acknowledged.shift();
          if (store.sheet()?.job.id === reading.jobId) patchSheet((s) => ({ ...s, readings: replaceById(s.readings, reading) }));
        },
        importReadings: async (csv: string, key: string): Promise<number> => {
          const { stored } = await api.post<{ stored: number }>(routes.readingsFile(jobId()), { csv }, key);
          await refresh();
          return stored;
        },
      };
    },
  ),
  withHooks((store, live = inject(Live), outbox = inject(Outbox), photos = inject(PhotoOutbox), openJob = inject(OpenJob)) => ({
    onInit(): void {
      effect(() => openJob.set(store.sheet()?.job ?? null));
      outbox.acknowledged.subscribe((reading) => store.acknowledge(reading));
      photos.acknowledged.subscribe((photo) => store.acknowledgePhoto(photo));
      live.back.subscribe(() => void (store.sheet() ? store.refresh() : store.wantedId() && store.open(store.wantedId())));
      const news = new SheetNews(
        (rows) => store.fetchRows(rows),
        () => store.refresh(),
      );
      live.news.subscribe((event) => event.jobId === store.sheet()?.job.id && news.hear(event));
    },
  })),
);
