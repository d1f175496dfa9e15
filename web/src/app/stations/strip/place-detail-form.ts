import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { PlaceInput } from '@iron-patch/contract';
import { formatPlace, fromUnit, parseNumberList, V_BLOCKS_DEG, vBlockSees, type PlaceKind, type Problem } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { ChooseField, FormField, LengthInput, TextField, UNREADABLE, type Option, startsAs } from '../../form';
import { detailFor } from './place-input';

type Detail = PlaceInput['detail'];

const NEAR_FAR: readonly Option[] = [
  ['near', 'the one nearest to zero'],
  ['far', 'the far one'],
];
/** What only some kinds of place ask: the V-block, how a shaft is held, the ring in a groove, the pitches that were spanned. */
@Component({
  selector: 'ip-place-detail-form',
  imports: [ChooseField, LengthInput, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="grid3">
      @switch (kind()) {
        @case ('lobes') {
          <ip-choose label="V-block" name="vDeg" [options]="blocks" [value]="text(detail().vDeg)" (valueChange)="set({ vDeg: +$event })" />
          <p class="quiet wide">{{ blockWords() }}</p>
        }
        @case ('depth') {
          <ip-length
            label="Ring thickness"
            [mm]="detail().ringMm"
            [unit]="store.unit()"
            [optional]="true"
            path="ringMm"
            [problems]="told()"
            (mmChange)="set({ ringMm: $event })"
          />
          <ip-length
            label="Groove width"
            [mm]="detail().grooveWidthMm"
            [unit]="store.unit()"
            [optional]="true"
            path="grooveWidthMm"
            [problems]="told()"
            (mmChange)="set({ grooveWidthMm: $event })"
          />
          <ip-choose
            label="The ring lies against which wall"
            name="restsOn"
            [options]="ends"
            [value]="detail().ringRestsOn ?? 'near'"
            (valueChange)="set({ ringRestsOn: $event === 'far' ? 'far' : 'near' })"
          />
          <ip-choose
            label="Which face of the ring is read"
            name="ringFace"
            [options]="ends"
            [value]="detail().ringFace ?? 'near'"
            (valueChange)="set({ ringFace: $event === 'far' ? 'far' : 'near' })"
          />
        }
        @case ('thread') {
          <ip-text
            label="Pitches that the length spans"
            name="pitches"
            inputmode="decimal"
            [value]="text(detail().pitches)"
            path="pitches"
            [problems]="told()"
            (valueChange)="set({ pitches: $event.trim() === '' ? null : +$event })"
          />
          <ip-length
            label="Wire for over three wires"
            [mm]="detail().wireMm"
            [unit]="store.unit()"
            [optional]="true"
            path="wireMm"
            [problems]="told()"
            (mmChange)="set({ wireMm: $event })"
          />
        }
        @case ('straightness') {
          <ip-choose
            label="Turned in"
            name="holding"
            [options]="holdings"
            [value]="detail().holding ?? 'centres'"
            (valueChange)="hold($event)"
          />
          @if (detail().holding === 'v-blocks') {
            <ip-text
              [label]="'V-blocks stand at, ' + store.unit()"
              name="supports"
              [figures]="true"
              placeholder="20, 380"
              [value]="supports()"
              path="supportsMm"
              [problems]="supportProblems()"
              (valueChange)="typeSupports($event)"
            />
          }
        }
        @case ('run-out') {
          <ip-choose
            label="Turned in"
            name="holding"
            [options]="holdings"
            [value]="detail().holding ?? 'centres'"
            (valueChange)="hold($event)"
          />
        }
      }
    </div>
  `,
  styles:
    '.grid3 { display: grid; grid-template-columns: repeat(3, 1fr); gap: 10px 18px; } .grid3:empty { display: none; } .wide { grid-column: span 2; align-self: center; }',
})
export class PlaceDetailForm extends FormField<Detail> {
  protected readonly store = inject(SheetStore);
  readonly kind = input.required<PlaceKind>();
  protected readonly detail = computed<Detail>(() => this.held() ?? detailFor(this.kind()));
  protected readonly ends = NEAR_FAR;
  protected readonly blocks: readonly Option[] = V_BLOCKS_DEG.map((d) => [String(d), `${d}°`] as const);
  protected readonly holdings: readonly Option[] = [
    ['centres', 'centres'],
    ['v-blocks', 'V-blocks'],
    ['chuck', 'a chuck'],
  ];
  protected readonly blockWords = computed(() => {
    const { sees, blind } = vBlockSees(this.detail().vDeg ?? 90);
    return `Shows ${sees.join(', ')} lobes; blind to ${blind.join(', ')}.`;
  });
  protected readonly supports = startsAs(() =>
    this.detail()
      .supportsMm.map((mm) => formatPlace(mm, this.store.unit()))
      .join(', '),
  );
  private readonly unread = signal<Problem | null>(null);
  protected readonly supportProblems = computed(() => {
    const unread = this.unread();
    return unread ? [unread] : this.told();
  });

  override ngAfterContentInit(): void {
    super.ngAfterContentInit();
    this.own(() => {
      const unread = this.unread();
      return unread && { [UNREADABLE]: unread.message };
    });
  }

  protected text(value: number | null | undefined): string {
    return value == null ? '' : String(value);
  }

  protected hold(holding: string): void {
    this.set({ holding: holding as Detail['holding'], supportsMm: holding === 'v-blocks' ? this.detail().supportsMm : [] });
  }

  protected typeSupports(text: string): void {
    const parsed = parseNumberList(text);
    this.unread.set(parsed.ok ? null : { ...parsed.problems[0]!, path: 'supportsMm' });
    if (parsed.ok) this.set({ supportsMm: parsed.value.map((v) => fromUnit(v, this.store.unit())) });
    else this.lookAgain();
  }

  protected set(change: Partial<Detail>): void {
    this.hand({ ...this.detail(), ...change });
  }
}
