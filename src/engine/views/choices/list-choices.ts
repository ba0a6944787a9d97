import type { Finding } from '../../../core/base';
import { allChosen } from '../../../core/lists';
import { type CountsInLook, choiceFindings, unfitTemplates } from './choice-findings';
import { type ChoiceAsked, type Choosing, ItemChoices } from './item-choices';

/** How the choices of a list fare over its items. */
export interface ChoiceTable {
  /** By look (one where the project has none), and in each by choice, the last for all others. */
  readonly counts: readonly (readonly number[])[];
  /** The first item that each choice takes in the look that is shown; -1: it takes none. */
  readonly first: readonly number[];
}

/** The choices of the list that is shown, over its items. */
export class ListChoices {
  private readonly ofItems = new ItemChoices();

  /** `now`: what they hang on; undefined: no list is shown. */
  constructor(private readonly now: () => Choosing | undefined) {}

  /** The choice that takes each item. */
  take(): Int16Array {
    const choosing = this.now();
    return choosing === undefined ? new Int16Array() : this.ofItems.take(choosing);
  }

  table(): ChoiceTable | undefined {
    const choosing = this.now();
    if (choosing === undefined) return undefined;
    const chosen = this.ofItems.take(choosing);
    const first = allChosen(choosing.list).map((_, at) => chosen.indexOf(at));
    return { counts: this.countsInLooks(choosing).map(({ counts }) => counts), first };
  }

  /** Which choices were asked for an item, the last of which takes it. */
  whyFor(item: number): readonly ChoiceAsked[] {
    const choosing = this.now();
    return choosing === undefined ? [] : this.ofItems.whyFor(item, choosing);
  }

  findings(): readonly Finding[] {
    const choosing = this.now();
    if (choosing === undefined) return [];
    const { project, list, types, look } = choosing;
    return [
      ...choiceFindings(list, this.countsInLooks(choosing)),
      ...unfitTemplates(project, list, { chosen: this.ofItems.take(choosing), types, look }),
    ];
  }

  /** Whether another time may give other choices. */
  get followTime(): boolean {
    return this.ofItems.followTime;
  }

  private countsInLooks(choosing: Choosing): readonly CountsInLook[] {
    const looks = choosing.project.looks ?? [undefined];
    return looks.map((look) => ({ look, counts: this.ofItems.countsIn(look?.id, choosing) }));
  }
}
