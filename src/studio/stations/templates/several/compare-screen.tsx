import { useEffect, useMemo, useRef, useState } from 'react';
import type { Entry } from '../../../../core/lists';
import { shownTemplate, usesOfTemplate, withId } from '../../../../core/project';
import type { Template } from '../../../../core/templates';
import type { Tried } from '../../../../engine';
import { bindRow, createRow } from '../../../../render';
import { Heading } from '../../../shared/controls/controls';
import { handItem } from '../../../shared/session/at-hand';
import { useDirection } from '../../../shared/session/locale';
import { engine, useSession } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { usePictures } from '../../../shared/window/pictures';
import { useWindow } from '../../../shared/window/window-settings';
import { useTried } from '../bench/bench-item';
import type { Selection } from '../selection';
import { Strip } from './strip';

/** Two templates side by side on the same items, with what differs marked. */
export default function CompareScreen({ selection }: { readonly selection: Selection }) {
  const { project, template } = selection;
  const others = project.templates.filter(({ id }) => id !== template.id);
  const [otherId, setOther] = useState(
    () => (others.find(({ type }) => type === template.type) ?? others[0])?.id,
  );
  const other = otherId === undefined ? undefined : shownTemplate(project, otherId);
  if (other === undefined)
    return (
      <p className="col-span-2 p-4 text-ash max-[1000px]:col-span-1">
        There is one template alone: duplicate it, or take a draft, to compare two.
      </p>
    );
  return (
    <section
      aria-label="Compare"
      className="col-span-2 overflow-auto px-4 py-2 max-[1000px]:col-span-1"
    >
      <Heading>“{template.name}” beside</Heading>
      <Strip label="Compare with" templates={others} chosen={otherId} onChoose={setOther} />
      <Pairs
        one={template}
        other={other}
        selection={selection}
        key={`${template.id} ${other.id}`}
      />
    </section>
  );
}

interface PairsProps {
  readonly one: Template;
  readonly other: Template;
  readonly selection: Selection;
}

function Pairs({ one, other, selection: { project } }: PairsProps) {
  const atHand = useSession((session) => session.atHand);
  const device = useWindow((settings) => settings.device);
  const first = useItemsFor(one);
  const second = useItemsFor(other);
  // Templates of one type show the same items; else each shows its own.
  const isSameType = one.type === other.type;
  const ofOther = isSameType ? first : second;
  const [left, right] = [useTried(one, first), useTried(other, ofOther)];
  const count = Math.max(first.length, ofOther.length);
  return (
    <table className="border-separate border-spacing-x-2 border-spacing-y-2">
      <thead>
        <tr>
          {[one, other].map((each) => (
            <th key={each.id} className="pe-4 text-start text-sm font-normal text-ash">
              <b className="font-semibold text-ink">{each.name}</b> {usesInWords(project, each.id)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: count }, (_, at) => (
          <tr key={first[at] ?? `second ${ofOther[at]}`}>
            <td className="align-top" style={{ minWidth: device.widthPx }}>
              <Compared
                tried={left}
                at={at}
                against={isSameType ? right : undefined}
                isAtHand={first[at] === atHand?.item}
              />
            </td>
            <td className="align-top" style={{ minWidth: device.widthPx }}>
              <Compared
                tried={right}
                at={at}
                against={isSameType ? left : undefined}
                isAtHand={ofOther[at] === atHand?.item}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const firstCount = 8;

/** The items that test a template most, and some plain ones. */
function useItemsFor(template: Template): readonly number[] {
  const extremes = useAnswer({ template: template.id, part: template.row.id }, (asked) =>
    engine().extremes(asked),
  );
  const first = useAnswer(template.type, (type) => engine().itemsOfType(type, firstCount));
  return useMemo(() => {
    const items = [...(extremes ?? []).map(({ item }) => item), ...(first ?? [])];
    return [...new Set(items)];
  }, [extremes, first]);
}

function usesInWords(project: Selection['project'], id: string): string {
  const uses = usesOfTemplate(project, id);
  if (uses.length === 0) return 'shown by no list';
  return uses
    .map(({ list, choices, isOtherwise, isStanding }) => {
      const names = choices.map(({ type, when }) => {
        const own = type === undefined ? 'all' : (withId(project.types, type)?.name ?? type);
        return when === undefined ? own : `${own} where ${when}`;
      });
      const all = [...names, ...(isOtherwise ? ['all others'] : [])];
      const shown = [
        ...(all.length === 0 ? [] : [`for ${all.join(', ')}`]),
        ...(isStanding ? ['beside the rows'] : []),
      ];
      return `in “${list}” ${shown.join(', and ')}`;
    })
    .join('; ');
}

interface ComparedProps {
  readonly tried: Tried | undefined;
  readonly at: number;
  /** What it is held against; undefined: nothing. */
  readonly against: Tried | undefined;
  readonly isAtHand: boolean;
}

/** A row, with the parts marked that show what the other row does not. */
function Compared({ tried, at, against, isAtHand }: ComparedProps) {
  const host = useRef<HTMLButtonElement>(null);
  const { widthPx } = useWindow((settings) => settings.device);
  const direction = useDirection();
  const scheme = useWindow((settings) => settings.scheme);
  const pictures = useSession((session) => session.history?.project.pictures);
  const urls = usePictures(pictures ?? [], scheme);
  const entry = tried?.entries[at];
  const other = against?.entries[at];
  useEffect(() => {
    if (tried === undefined || entry === undefined) return host.current?.replaceChildren();
    const row = createRow(tried.plan);
    bindRow(row, entry, urls);
    host.current?.replaceChildren(row.element);
    if (other !== undefined) markDifferent(row.element, { tried, entry, other });
  }, [tried, entry, other, urls]);
  if (entry === undefined) return null;
  return (
    <button
      ref={host}
      type="button"
      aria-current={isAtHand ? 'true' : undefined}
      title="Have this item at hand"
      dir={direction}
      style={{ width: widthPx }}
      className={`yc-compared scheme-${scheme} box-content block overflow-hidden rounded-md border border-rule text-start aria-[current=true]:border-woad`}
      onClick={() => entry.item !== undefined && void handItem(entry.item)}
    />
  );
}

interface Difference {
  readonly tried: Tried;
  readonly entry: Entry;
  readonly other: Entry;
}

/** Marks what shows a value that the other row shows nowhere. */
function markDifferent(row: HTMLElement, { tried, entry, other }: Difference): void {
  const known = new Set(other.values);
  for (const [slot, { part }] of tried.plan.slots.entries()) {
    const value = entry.values[slot];
    if (value === undefined || known.has(value)) continue;
    row.querySelector(`[data-part="${CSS.escape(part)}"]`)?.classList.add('yc-different');
  }
}
