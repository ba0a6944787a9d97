import { useState } from 'react';
import { openForm, type Pin } from '../../../core/by-example';
import type { ItemType } from '../../../core/project';
import { type Field, makeExpression, pathText, shown } from '../../../core/values';
import { Button } from '../controls/controls';
import { ReadsBetter } from '../expression/reads-better';
import { engine, useSession } from '../session/session';
import { useAnswer } from '../session/use-answer';
import { ProposalLine, type Taken } from './proposal-line';
import { Stretches } from './stretches';
import { useExamples, useMissing, type Wish } from './use-examples';

interface ExamplePanelProps {
  readonly type: ItemType;
  /** A property that must not be proposed: the one that is being made. */
  readonly without?: string;
  /** Only what needs no format. */
  readonly isPlainOnly?: boolean;
  readonly item: number;
  /** What the item shows now. */
  readonly now: string;
  readonly onTake: (taken: Taken) => void;
}

/** Words for an item, and what could give them; another item is asked for where that settles it. */
export default function ExamplePanel(props: ExamplePanelProps) {
  const { type, without, isPlainOnly = false, item, now, onTake } = props;
  const title = useTitle(item);
  const [wishes, setWishes] = useState<readonly Wish[]>([{ item, title, text: now, pins: [] }]);
  const answer = useExamples(type.id, without, wishes);
  const all = answer?.proposals ?? [];
  const proposals = isPlainOnly ? all.filter((each) => each.isPlain) : all;
  const missing = useMissing(
    type.id,
    proposals.map(({ stretches }) => stretches.flatMap(({ value }) => value?.expr ?? [])),
  );
  const change = (at: number, wish: Partial<Wish>) =>
    setWishes(wishes.map((each, index) => (index === at ? { ...each, ...wish } : each)));
  const pin = (own: Pin) => {
    const kept = (wishes[0]?.pins ?? []).filter(
      (each) => each.to <= own.from || own.to <= each.from,
    );
    change(0, { pins: [...kept, own] });
  };
  const next = answer?.next;
  return (
    <div className="space-y-1.5" data-wide="">
      {wishes.map((wish, at) => (
        <WishField
          key={wish.item}
          label={at === 0 ? `Words for ${wish.title || title}` : `And for ${wish.title}`}
          text={wish.text}
          // What was settled stands where it stood only as long as the words stay.
          onChange={(text) => change(at, { text, pins: [] })}
          {...(at > 0 && { onRemove: () => setWishes(wishes.filter((each) => each !== wish)) })}
        />
      ))}
      {next !== undefined &&
        !wishes.some((wish) => wish.item === next) &&
        wishes.length < maxWishes && (
          <NextWish
            item={next}
            text={answer?.rows.find((row) => row.item === next)?.texts[0] ?? ''}
            onAdd={(wish) => setWishes([...wishes, wish])}
          />
        )}
      {answer?.isTwoRules && (
        <p className="text-sm text-madder" role="status">
          These look like two different rules: nothing that is known here gives both.
          {answer.nearest?.misses.map(({ item: own, wanted, text }) => (
            <span key={own} className="block text-ink">
              The nearest gives the first words, but “{text ?? 'nothing'}” where “{wanted}” is
              wanted.
            </span>
          ))}
        </p>
      )}
      {answer?.isTwoRules && answer.nearest !== undefined && (
        <ul aria-label="The nearest">
          <ProposalLine
            proposal={answer.nearest.proposal}
            onTake={onTake}
            missing={undefined}
            rows={answer.nearest.misses.map(({ item: own, text }) => ({
              item: own,
              text,
              isOpen: false,
            }))}
          />
        </ul>
      )}
      {all.length === 0 && !answer?.isTwoRules && wishes[0]?.pins.length !== 0 && (
        <p className="text-sm text-madder" role="status">
          Nothing that is known here gives these words so: change them to settle it otherwise.
        </p>
      )}
      {isPlainOnly && all.length > 0 && proposals.length === 0 && (
        <p className="text-sm text-ash" role="status">
          These words need a format. Use the example on the label that shows them.
        </p>
      )}
      {proposals[0] !== undefined && (
        <Stretches stretches={proposals[0].stretches} values={valuesOf(type.fields)} onPin={pin} />
      )}
      <ul className="space-y-1.5" aria-label="Proposals">
        {proposals.map((proposal, at) => (
          <ProposalLine
            key={JSON.stringify([proposal.expr, proposal.format, proposal.newFormats])}
            {...{ proposal, onTake }}
            missing={missing?.[at]}
            rows={(answer?.rows ?? []).map(({ item: own, texts, isOpen }) => ({
              item: own,
              text: texts[all.indexOf(proposal)] ?? null,
              isOpen: isOpen[all.indexOf(proposal)] ?? false,
            }))}
          />
        ))}
      </ul>
      <ReadsBetter type={type} />
    </div>
  );
}

/** A label is no page. */
const maxChars = 500;

/** Two questions at most. */
const maxWishes = 3;

const inputLook =
  'h-7 min-w-0 flex-1 rounded-md border border-rule bg-paper px-2 focus:border-woad';

interface WishFieldProps {
  readonly label: string;
  readonly text: string;
  readonly onChange: (text: string) => void;
  readonly onRemove?: () => void;
}

function WishField({ label, text, onChange, onRemove }: WishFieldProps) {
  return (
    <div>
      <p className="truncate text-sm text-ash">{label}</p>
      <span className="flex items-center gap-1.5">
        <input
          aria-label={label}
          className={inputLook}
          dir="auto"
          placeholder="type what you want to read there"
          value={text}
          maxLength={maxChars}
          onChange={(event) => onChange(event.target.value)}
        />
        {onRemove !== undefined && <Button onPress={onRemove}>Leave out</Button>}
      </span>
    </div>
  );
}

/** Asks for the words of the item on which the proposals differ most. */
function NextWish({
  item,
  text,
  onAdd,
}: {
  item: number;
  text: string;
  onAdd: (wish: Wish) => void;
}) {
  const title = useTitle(item);
  const [own, setOwn] = useState<string>();
  const words = own ?? text.replaceAll(openForm, '…');
  const add = () => onAdd({ item, title, text: words, pins: [] });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <p className="truncate text-sm text-weld">And for {title}?</p>
      <span className="flex items-center gap-1.5">
        <input
          aria-label={`And for ${title}?`}
          className={inputLook}
          dir="auto"
          value={words}
          onChange={(event) => setOwn(event.target.value)}
        />
        <Button isDisabled={words.includes('…')} onPress={add}>
          That is it
        </Button>
      </span>
    </form>
  );
}

/** What the item is called; empty until that is known. */
function useTitle(item: number): string {
  return useAnswer(item, (own) => engine().itemAtHand(own))?.title ?? '';
}

/** All plain values of an item, by their paths, with those of the item at hand. */
function valuesOf(fields: readonly Field[]) {
  const item = useSession.getState().atHand?.value ?? {};
  const paths = (of: readonly Field[], before: readonly string[]): string[] =>
    of.flatMap((field) => {
      const path = [...before, field.name];
      if (field.type === 'record') return before.length < 2 ? paths(field.fields, path) : [];
      return field.type === 'list' ? [] : [pathText(path)];
    });
  return paths(fields, []).map((expr) => ({
    expr,
    shown: shown(makeExpression(expr, fields).evaluate?.(item)),
  }));
}
