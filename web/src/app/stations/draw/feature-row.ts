import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { FieldSpec, Problem } from '@iron-patch/core';
import { ChooseField, LengthInput, TextField, type Option } from '../../form';
import { signedNumber } from '../../form/signed-number';
import { SheetStore } from '../../sheet-data';

/** Anything that is cut into a part, or asked of it. */
interface Cut {
  readonly id: string;
  readonly name: string;
}

interface Row {
  readonly field: string;
  readonly spec: FieldSpec;
  readonly label: string;
  readonly value: unknown;
}

/** One thing that is cut into a surface or a block: the fields that its kind asks for, whatever the kind. */
@Component({
  selector: 'ip-feature-row',
  imports: [ChooseField, LengthInput, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>
        {{ feature().name || kindName() }}
        <button type="button" class="plain" [attr.aria-label]="'Remove ' + feature().name" (click)="removed.emit()">Remove</button>
        @if (copies()) {
          <button type="button" class="plain" [attr.aria-label]="'Copy ' + feature().name" (click)="copied.emit()">Copy</button>
          <button type="button" class="plain" [attr.aria-label]="'To the other end: ' + feature().name" (click)="turned.emit()">
            To the other end
          </button>
        }
      </legend>
      <ip-text
        label="Name"
        name="feature"
        [value]="feature().name"
        [path]="path() + '.name'"
        [problems]="problems()"
        (valueChange)="change('name', $event)"
      />
      @if (hosts().length > 1) {
        <ip-choose label="Cut into" name="on" [options]="hosts()" [value]="on()" (valueChange)="change('on', $event)" />
      }
      @for (r of rows(); track r.field) {
        @switch (r.spec.kind) {
          @case ('length') {
            <ip-length
              [label]="r.label"
              [mm]="asNumber(r.value)"
              [unit]="store.unit()"
              [allowZero]="r.spec.from === 0"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (mmChange)="change(r.field, $event ?? 0)"
            />
          }
          @case ('choice') {
            <ip-choose
              [label]="r.label"
              [name]="r.field"
              [options]="r.spec.options"
              [value]="asText(r.value)"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (valueChange)="change(r.field, $event)"
            />
          }
          @case ('feature') {
            <ip-choose
              [label]="r.label"
              [name]="r.field"
              [options]="ofFeature(r.spec)"
              [value]="asText(r.value)"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (valueChange)="change(r.field, $event)"
            />
          }
          @case ('surface') {
            <ip-choose
              [label]="r.label"
              [name]="r.field"
              [options]="surfaces()"
              [value]="asText(r.value)"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (valueChange)="change(r.field, $event)"
            />
          }
          @case ('timed') {
            <ip-choose
              [label]="r.label"
              [name]="r.field"
              [options]="timed()"
              [value]="asText(r.value)"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (valueChange)="change(r.field, $event)"
            />
          }
          @case ('text') {
            <ip-text
              [label]="r.label"
              [name]="r.field"
              [value]="asText(r.value)"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (valueChange)="change(r.field, $event)"
            />
          }
          @default {
            <ip-text
              inputmode="decimal"
              [label]="r.label"
              [name]="r.field"
              [value]="asText(r.value)"
              [path]="path() + '.' + r.field"
              [problems]="problems()"
              (valueChange)="change(r.field, read($event))"
            />
          }
        }
      }
      <ng-content />
      @if (stands()) {
        <p class="quiet">{{ stands() }}</p>
      }
    </fieldset>
  `,
  styles: `
    fieldset {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 2px 14px;
      border: 0;
      border-left: 3px solid var(--hairline);
      padding: 2px 0 2px 14px;
      margin: 4px 0 8px;
      min-width: 0;
    }
    .quiet {
      grid-column: 1 / -1;
      margin: 0 0 4px;
    }
    legend {
      font: 600 15px var(--label);
      padding: 0;
    }
    legend button {
      font-size: 14px;
      min-height: 32px;
      padding: 0 10px;
    }
  `,
})
export class FeatureRow {
  protected readonly store = inject(SheetStore);
  readonly feature = input.required<Cut>();
  readonly kindName = input.required<string>();
  /** What its kind asks for. */
  readonly fields = input.required<Readonly<Record<string, FieldSpec>>>();
  /** Where it stands in the drawing: `features.3`. */
  readonly path = input.required<string>();
  readonly problems = input<readonly Problem[]>([]);
  /** Where it stands round the part, in words. */
  readonly stands = input('');
  /** Features that it can be timed to: id and name. */
  readonly others = input<readonly Option[]>([]);
  /** Features and surfaces that it can name. */
  readonly features = input<readonly Option[]>([]);
  readonly surfaces = input<readonly Option[]>([]);
  readonly changed = output<Cut>();
  readonly removed = output();
  /** Whether it can be copied; asks for a copy. */
  readonly copies = input(false);
  readonly copied = output();
  /** Asks for it at the other end of its surface. */
  readonly turned = output();
  /** Surfaces that it may be cut into. */
  readonly hosts = input<readonly Option[]>([]);
  protected readonly on = computed(() => {
    const cut: object = this.feature();
    return 'on' in cut ? String(cut.on) : '';
  });
  protected readonly timed = computed<readonly Option[]>(() => [['', 'nothing'], ...this.others()]);
  protected readonly rows = computed<readonly Row[]>(() => {
    const feature = this.feature() as unknown as Readonly<Record<string, unknown>>;
    const asked = (spec: FieldSpec): boolean =>
      !('when' in spec) || !spec.when || spec.when.slice(1).includes(String(feature[spec.when[0]]));
    const fields = Object.entries(this.fields()).filter(([, spec]) => asked(spec));
    return fields.map(([field, spec]) => {
      const unit = spec.kind === 'angle' ? ', °' : spec.kind === 'number' ? `, ${spec.unit}` : '';
      return { field, spec, label: spec.label + unit, value: feature[field] };
    });
  });

  protected ofFeature = (spec: FieldSpec): readonly Option[] => [
    ['', 'none' in spec ? spec.none : ''],
    ...this.features().filter(([id]) => id !== this.feature().id),
  ];
  protected asNumber = (value: unknown): number | null => (typeof value === 'number' ? value : null);
  protected asText = (value: unknown): string => (typeof value === 'number' && Number.isNaN(value) ? '' : String(value));
  protected read = (text: string): number => signedNumber(text);

  protected change(field: string, value: unknown): void {
    this.changed.emit({ ...this.feature(), [field]: value });
  }
}
