import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, personInput, routes, type PersonInput } from '@iron-patch/contract';
import { ACCESS_NAMES, ACCESSES, whatMay, type Access } from '@iron-patch/core/terms/access';
import type { PersonRecord } from '@iron-patch/core';
import { newId, SessionStore, ShopStore } from '../data';
import { ChooseField, FormFrame, RecordForm, TextField, type Option } from '../form';

type Person = PersonInput & { readonly access: Access };
const NOBODY: Person = { name: '', role: '', gone: false, access: 'machinist' };
const OPTIONS: readonly Option[] = ACCESSES.map((a) => [a, ACCESS_NAMES[a]]);

/** Somebody who works here. */
@Component({
  selector: 'ip-person-form',
  imports: [ReactiveFormsModule, ChooseField, FormFrame, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save person" [closable]="closable()" (left)="closed.emit()">
      <div class="grid2">
        <ip-text label="Name" name="personName" formControlName="name" />
        <ip-text label="What they do here" name="personRole" placeholder="machinist, owner, apprentice" formControlName="role" />
        <ip-choose label="What they may do" name="access" [options]="options" formControlName="access" />
        <p class="may quiet">{{ may() }}</p>
      </div>
    </form>
  `,
  styles: '.may { align-self: end; padding-bottom: 8px; }',
})
export class PersonForm implements OnInit {
  private readonly shop = inject(ShopStore);
  private readonly session = inject(SessionStore);
  readonly record = input<PersonRecord | null>(null);
  readonly closable = input(true);
  readonly closed = output<void>();
  private readonly opened = signal<PersonRecord | null>(null);
  private readonly id = signal(newId());
  protected readonly form = new RecordForm<Person>({
    keptAs: () => `person:${this.record()?.id ?? 'new'}`,
    start: NOBODY,
    check: (v) => check(personInput, v),
    rests: { opened: this.opened, id: this.id },
    save: (v) => this.store(v),
    close: () => this.done(),
    theirs: (current) => {
      this.opened.set(current as PersonRecord);
      return 'Somebody else changed this person in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });

  protected readonly options = OPTIONS;
  /** What that lets them do. */
  protected readonly may = computed(() => `May ${whatMay(this.form.value().access).join('; ')}.`);
  /** The first owns the shop. */
  private readonly nobodyYet = (): boolean => this.shop.shop().people.length === 0;

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    if (opened) this.form.open({ name: opened.name, role: opened.role, gone: opened.gone, access: opened.access });
    else if (this.nobodyYet()) this.form.open({ ...NOBODY, access: 'owner' });
  }

  private async store(v: Person): Promise<PersonRecord> {
    const first = this.nobodyYet();
    const stored = await this.shop.save<PersonRecord>(routes.person(this.opened()?.id ?? this.id()), v, this.opened()?.version ?? 0);
    // Whoever says that they are the first is at this bench.
    if (first) this.session.choosePerson(stored.id);
    return stored;
  }

  /** Ready for the next where the form stays. */
  private done(): void {
    this.id.set(newId());
    if (!this.record()) this.form.open(NOBODY);
    this.closed.emit();
  }
}
