import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { routes } from '@iron-patch/contract';
import { materialName, type Bar } from '@iron-patch/core';
import { SessionStore, ShopStore, Told } from '../data';
import { StateMark } from '../mark';
import { barText } from '../rack/bar-words';
import { RackLine } from '../rack/rack-line';
import { LengthPipe } from '../show';
import { Machines } from './machines';
import { People } from './people';
import { PersonForm } from './person-form';
import { ShopForm } from './shop-form';
import { openSteps, STEPS, type StepId } from './steps';
import { UsualInstruments } from './usual-instruments';

const WHY: Readonly<Record<StepId, string>> = {
  name: 'It stands on slips, tags and reports. New jobs start in the unit; each job can have the other.',
  people: 'Whoever is at the bench stands behind what is measured and decided. Pick your name at the top right when you come to a screen.',
  machines: 'Depths, dial turns and speeds are worked out for the lathe that stands here. Pick the nearest and put right what differs.',
  instruments: 'What a reading is worth comes from what it was read with. Tick what hangs in the crib; calibration and checks can follow.',
  fits: 'How much room a running fit gets, how tight a bush is pressed. These are where most shops start; change any of them later.',
  rack: 'Plan finds the bar with the least waste. Type one a line, as it would stand on its tag.',
};

/** The first walk round a shop that nobody set up yet: one thing after another, left at any point and taken up again. */
@Component({
  selector: 'ip-first-walk',
  imports: [RouterLink, StateMark, ShopForm, People, PersonForm, Machines, UsualInstruments, RackLine, LengthPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './first-walk.html',
  styleUrl: './first-walk.less',
})
export class FirstWalk {
  protected readonly shop = inject(ShopStore);
  private readonly session = inject(SessionStore);
  private readonly router = inject(Router);
  private readonly told = inject(Told);
  protected readonly steps = STEPS;
  protected readonly why = WHY;
  protected readonly open = computed(() => openSteps(this.shop.shop()));
  /** Where one stands; stays while its things come in, and is the first that is open when one comes back. */
  protected readonly step = linkedSignal<StepId>(() => untracked(() => this.open()[0]?.id ?? 'name'));
  protected readonly rules = computed(() => this.shop.shop().houseRules);
  protected readonly unit = computed(() => this.shop.shop().card.unit);
  protected readonly inch = computed(() => this.unit() === 'in');
  protected readonly nobody = computed(() => this.shop.shop().people.length === 0);
  protected readonly line = (b: Bar): string => barText(b, this.unit());
  protected readonly material = materialName;
  /** Everything but a name needs somebody to stand behind it. */
  protected readonly locked = (id: StepId): boolean => this.nobody() && id !== 'name' && id !== 'people';

  private going = false;

  constructor() {
    // Somebody who set the shop up on another screen is one of its people here too.
    effect(() => {
      const { people } = this.shop.shop();
      const known = people.some((p) => p.id === this.session.personId());
      if (people.length === 1 && !known) untracked(() => this.session.choosePerson(people[0]!.id));
    });
  }

  protected has(id: StepId): boolean {
    return STEPS.find((s) => s.id === id)!.has(this.shop.shop());
  }

  protected go(id: StepId): void {
    if (!this.locked(id)) this.step.set(id);
  }

  /** To the next stop; the one that is left counts as seen. */
  protected async next(): Promise<void> {
    // Touched twice it goes one stop.
    if (this.going) return;
    this.going = true;
    const at = STEPS.findIndex((s) => s.id === this.step());
    const { name, unit, decimalMark, walked, version } = this.shop.shop().card;
    const to = STEPS[at + 1];
    await this.told.doing(async () => {
      if (!walked.includes(this.step()) && name)
        await this.shop.save(routes.shopCard, { name, unit, decimalMark, walked: [...walked, this.step()] }, version);
      if (to) this.step.set(to.id);
      else await this.router.navigate(['/jobs/new']);
    });
    this.going = false;
  }
}
