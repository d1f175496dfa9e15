import { ChangeDetectionStrategy, Component, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, personInput, routes, type PersonInput } from '@iron-patch/contract';
import type { PersonRecord } from '@iron-patch/core';
import { newId, SessionStore, ShopStore } from '../data';
import { FormFrame, RecordForm, TextField } from '../form';

const NOBODY: PersonInput = { name: '', role: '', gone: false };

/** Somebody who works here. */
@Component({
  selector: 'ip-person-form',
  imports: [ReactiveFormsModule, FormFrame, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save person" [closable]="closable()" (left)="closed.emit()">
      <div class="grid2">
        <ip-text label="Name" name="personName" formControlName="name" />
        <ip-text label="What they do here" name="personRole" placeholder="machinist, owner, apprentice" formControlName="role" />
      </div>
    </form>
  `,
})
export class PersonForm implements OnInit {
  private readonly shop = inject(ShopStore);
  private readonly session = inject(SessionStore);
  readonly record = input<PersonRecord | null>(null);
  readonly closable = input(true);
  readonly closed = output<void>();
  private readonly opened = signal<PersonRecord | null>(null);
  private readonly id = signal(newId());
  protected readonly form = new RecordForm<PersonInput>({
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

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    if (opened) this.form.open({ name: opened.name, role: opened.role, gone: opened.gone });
  }

  private async store(v: PersonInput): Promise<PersonRecord> {
    const first = this.shop.shop().people.length === 0;
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
