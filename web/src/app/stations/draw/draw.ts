import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { check, choiceInput, routes } from '@iron-patch/contract';
import {
  choiceKey,
  chosenPart,
  formatLength,
  materialOf,
  newPart,
  originalSizeMm,
  PART_KINDS,
  partLengthMm,
  type CrossHole,
  type PartKind,
  type Problem,
  type Segment,
  type TurnedPart,
  roundStart,
} from '@iron-patch/core';
import { newId } from '../../data';
import { SheetStore } from '../../sheet-data';
import { ChooseField, LengthInput, MATERIAL_OPTIONS, TextField } from '../../form';
import { FigureButton } from '../../show';

/** The replacement as segments along the axis; diameters that fit a mate follow their fit. */
@Component({
  selector: 'ip-draw',
  imports: [TextField, ChooseField, FigureButton, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './draw.html',
  styles: `
    :host {
      display: block;
      padding: 12px 18px 24px;
    }
    .top {
      display: grid;
      grid-template-columns: 1.2fr 1.2fr 1fr;
      gap: 16px;
      align-items: end;
      margin-bottom: 10px;
    }
    .facts {
      display: flex;
      gap: 18px;
      align-items: center;
      min-height: 44px;
    }
    .segment {
      display: grid;
      grid-template-columns: 1fr 1fr 1.2fr 1fr 1fr;
      gap: 4px 14px;
      border: 0;
      border-top: 1px solid var(--hairline);
      padding: 8px 0 4px;
      margin: 0;
      min-width: 0;
    }
    legend {
      font: 600 16px var(--label);
      padding: 0 8px 0 0;
    }
    .fitted {
      display: flex;
      flex-direction: column;
      align-items: flex-start;
    }
    .fitted .label,
    .mates .label {
      font-size: 15px;
    }
    .small {
      font-size: 14px;
    }
    .mates {
      grid-column: 1 / -1;
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    .mates button {
      min-height: 40px;
      padding: 4px 12px;
    }
    button.on {
      background: var(--blue-soft);
      box-shadow: inset 0 0 0 1px var(--blue);
    }
    .push {
      flex: 1;
    }
    .row {
      margin-top: 10px;
    }
    .kinds {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      margin: 10px 0;
    }
    .sizes {
      align-items: flex-end;
    }
    .sizes button {
      margin-bottom: 22px;
    }
    .facts ip-figure {
      white-space: nowrap;
    }
    @media (max-width: 1000px) {
      .segment {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class Draw {
  protected readonly store = inject(SheetStore);
  protected readonly materials = MATERIAL_OPTIONS;
  protected readonly kinds = Object.entries(PART_KINDS) as [PartKind, string][];
  protected readonly kind = signal<PartKind>('headed-pin');
  protected readonly length = signal(100);
  protected readonly bodyTyped = signal<number | null>(null);
  protected readonly part = computed(() => {
    const sheet = this.store.shown();
    return sheet ? chosenPart(sheet) : null;
  });
  protected readonly found = computed(() => this.store.repair()?.part ?? null);
  protected readonly mates = computed(() => (this.store.repair()?.fits ?? []).map((f) => f.hole.place));
  protected readonly body = computed(() => {
    const worn = this.store.repair()?.places.find((f) => f.component.role === 'worn' && f.place.land === 'worn');
    return this.bodyTyped() ?? (worn && originalSizeMm(worn)) ?? this.store.repair()?.fits[0]?.target?.aimMm ?? 25;
  });
  /** What core and the contract say against the drawing, core's paths first. */
  protected readonly problems = computed<readonly Problem[]>(() => {
    const part = this.part();
    if (!part) return [];
    const shape = check(choiceInput(choiceKey.part)!, { value: part, reason: '' });
    return [...(this.found()?.problems ?? []), ...(shape.ok ? [] : shape.problems)];
  });
  protected readonly general = computed(() => this.problems().filter((p) => !/\.\d+\.|bore|^value\.name/.test(p.path)));
  protected readonly svg = computed(() => routes.drawing(this.store.sheet()!.job.id));

  protected begin(): void {
    const sheet = this.store.sheet()!;
    const worn = sheet.components.find((c) => c.role === 'worn');
    const fresh = newPart(this.kind(), worn?.name ?? sheet.job.title, this.body(), this.length());
    // What the old part was made of is offered for the new one, where somebody knows it.
    const part = worn && materialOf(worn.materialId) ? { ...fresh, materialId: worn.materialId } : fresh;
    const mates = this.mates().map((m) => m.id);
    this.put({ ...part, segments: part.segments.map((s) => (s.id === 'body' ? { ...s, fitsPlaceIds: mates } : s)) });
  }

  protected change(change: Partial<TurnedPart>): void {
    this.put({ ...this.part()!, ...change });
  }

  protected segment(index: number, change: Partial<Segment>): void {
    this.change({ segments: this.part()!.segments.map((s, i) => (i === index ? { ...s, ...change } : s)) });
  }

  protected toggleMate(index: number, mateId: string): void {
    const { fitsPlaceIds } = this.part()!.segments[index]!;
    this.segment(index, {
      fitsPlaceIds: fitsPlaceIds.includes(mateId) ? fitsPlaceIds.filter((m) => m !== mateId) : [...fitsPlaceIds, mateId],
    });
  }

  protected addSegment(): void {
    const { segments } = this.part()!;
    const last = segments.at(-1);
    const added: Segment = {
      id: newId().slice(0, 8),
      kind: 'cylinder',
      name: 'Step',
      lengthMm: roundStart(this.store.unit(), 10, 0.5),
      diameterMm: (last?.diameterMm ?? 20) * 0.8,
      chamferLeftMm: 0,
      chamferRightMm: 0,
      fitsPlaceIds: [],
    };
    this.change({ segments: [...segments, added] });
  }

  protected removeSegment(index: number): void {
    this.change({ segments: this.part()!.segments.filter((_, i) => i !== index) });
  }

  protected addHole(): void {
    const added: CrossHole = {
      id: newId().slice(0, 8),
      diameterMm: roundStart(this.store.unit(), 5, 3 / 16),
      atMm: Math.max(partLengthMm(this.part()!) - 8, 4),
      clockDeg: 90,
    };
    this.change({ crossHoles: [...this.part()!.crossHoles, added] });
  }

  protected hole(index: number, change: Partial<CrossHole>): void {
    this.change({ crossHoles: this.part()!.crossHoles.map((h, i) => (i === index ? { ...h, ...change } : h)) });
  }

  protected holeClock(index: number, text: string): void {
    const clockDeg = Number(String(text).replace(',', '.'));
    this.hole(index, { clockDeg: Number.isFinite(clockDeg) ? clockDeg : -1 });
  }

  protected removeHole(index: number): void {
    this.change({ crossHoles: this.part()!.crossHoles.filter((_, i) => i !== index) });
  }

  protected addBore(): void {
    this.change({ bore: { diameterMm: this.part()!.segments[0]!.diameterMm / 2, depthMm: null } });
  }

  protected sizeOf(segmentId: string) {
    const found = this.found()?.segments.find((s) => s.segment.id === segmentId);
    return found?.fits.length ? found : null;
  }

  protected limits(segmentId: string): string {
    const l = this.sizeOf(segmentId)?.diameter.limits;
    const unit = this.store.unit();
    return l ? `${formatLength(l.lower, unit)} to ${formatLength(l.upper, unit)}` : '';
  }

  protected async save(): Promise<void> {
    const saved = await this.store
      .putChoice(choiceKey.part, 'the drawing', this.part(), '', true, this.store.draftFrom())
      .catch(this.store.or(null));
    if (saved) this.store.draft(null);
  }

  private put(part: TurnedPart): void {
    this.store.draft(part);
  }
}
