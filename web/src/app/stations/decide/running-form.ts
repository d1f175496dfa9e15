import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { check, CHOICE_VALUES } from '@iron-patch/contract';
import { type DeskSetting, type LengthUnit, type Problem, type RunningChoice } from '@iron-patch/core';
import { LengthInput, signedNumber, TextField, startsAs } from '../../form';

/** What the pair runs at and how thick the metal round the hole is: kept with the job as soon as it is right. */
@Component({
  selector: 'ip-running-form',
  imports: [TextField, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="running">
      <ip-text
        label="New part runs at, °C"
        [figures]="true"
        name="pinC"
        [value]="pin()"
        path="pinC"
        [problems]="problems()"
        (valueChange)="pin.set($event); save()"
      />
      <ip-text
        label="Hole runs at, °C"
        [figures]="true"
        name="holeC"
        [value]="hole()"
        path="holeC"
        [problems]="problems()"
        (valueChange)="hole.set($event); save()"
      />
      <ip-length
        label="Metal round the hole, outside"
        [mm]="setting().hubOutsideMm"
        [unit]="unit()"
        [allowZero]="false"
        path="hubOutsideMm"
        [problems]="problems()"
        (mmChange)="hub.set($event); save()"
      />
    </div>
  `,
  styles: `
    .running {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
      max-width: 600px;
      gap: 4px 16px;
      align-items: start;
    }
  `,
})
export class RunningForm {
  readonly setting = input.required<DeskSetting>();
  readonly unit = input.required<LengthUnit>();
  readonly saved = output<RunningChoice>();
  private readonly running = computed(() => this.setting().running);
  protected readonly pin = startsAs(() => String(this.running().pinC));
  protected readonly hole = startsAs(() => String(this.running().holeC));
  protected readonly hub = startsAs(() => this.running().hubOutsideMm);
  private readonly draft = computed(() => ({ pinC: signedNumber(this.pin()), holeC: signedNumber(this.hole()), hubOutsideMm: this.hub() }));
  private readonly checked = computed(() => check(CHOICE_VALUES['running']!, this.draft()));
  protected readonly problems = computed<readonly Problem[]>(() => {
    const c = this.checked();
    return c.ok ? [] : c.problems;
  });
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Stored a moment after the last key, so that 120 is not stored as 1 and 12 first. */
  protected save(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      const c = this.checked();
      if (c.ok && JSON.stringify(c.value) !== JSON.stringify(this.running())) this.saved.emit(c.value as RunningChoice);
    }, QUIET_MS);
  }
}

/** Nobody types on after this pause. */
const QUIET_MS = 500;
