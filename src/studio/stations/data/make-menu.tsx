import { Popover } from '@base-ui/react/popover';
import ChevronDown from 'lucide-react/icons/chevron-down';
import { useState } from 'react';
import { ownValue } from '../../../core/base';
import type { Rule } from '../../../core/items';
import { edits, ownSet } from '../../../core/project';
import { type Field, fieldsOfAll } from '../../../core/values';
import { Button, MenuButton, Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { showSet } from '../../shared/opening/arrivals';
import type { Current } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { makeEmpty, makeUp } from './make-items';

/** Items to try with: as many as one likes by evidence or by rules, or none at all. */
export function MakeMenu({ current }: { readonly current: Current }) {
  const { source, set } = current;
  const [count, setCount] = useState(1_000);
  const [seed, setSeed] = useState(1);
  const [rules, setRules] = useState<Readonly<Record<string, Rule>>>({});
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger className="inline-flex h-7 items-center gap-1.5 rounded-md border border-rule bg-paper px-2.5 text-sm whitespace-nowrap hover:border-ash">
        Make items <ChevronDown size={12} aria-hidden="true" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Positioner sideOffset={4} align="end" className="z-40">
          <Popover.Popup
            aria-label="Make items"
            className="w-96 rounded-md border border-ash bg-paper p-3 text-ink outline-none"
          >
            <p className="pb-2 text-sm text-ash">
              They go into a set of their own; the source’s own items stay as they are.
            </p>
            <Row words="how many">
              <span className="flex gap-1.5">
                <NumberField
                  label="How many"
                  value={count}
                  min={1}
                  max={1_000_000}
                  onChange={setCount}
                />
                {[100, 10_000, 100_000].map((each) => (
                  <Button key={each} onPress={() => setCount(each)}>
                    {each.toLocaleString('en').replaceAll(',', '\u00a0')}
                  </Button>
                ))}
              </span>
            </Row>
            <Row words="seed">
              <NumberField label="Seed" value={seed} min={0} max={999_999} onChange={setSeed} />
            </Row>
            <Rules current={current} rules={rules} onRules={setRules} />
            <div className="flex flex-wrap gap-1.5 pt-2">
              <Button
                isMain
                onPress={() => {
                  close();
                  void makeUp(current, count, seed, rules);
                }}
              >
                Make them
              </Button>
              <Button
                onPress={() => {
                  close();
                  void makeEmpty(current);
                }}
              >
                An empty set
              </Button>
              {set !== ownSet && (
                <Button
                  onPress={() => {
                    close();
                    void showSet(source.id, ownSet).then(() =>
                      make(edits.removeSet(source.id, set)),
                    );
                  }}
                >
                  Remove this set
                </Button>
              )}
            </div>
          </Popover.Popup>
        </Popover.Positioner>
      </Popover.Portal>
    </Popover.Root>
  );
}

const ruleWords = [
  'as found',
  'names',
  'dates around today',
  'amounts',
  'pictures in turn',
  'a short list',
] as const;

/** For each field, a rule in the place of what was found. */
function Rules({
  current,
  rules,
  onRules,
}: {
  readonly current: Current;
  readonly rules: Readonly<Record<string, Rule>>;
  readonly onRules: (rules: Readonly<Record<string, Rule>>) => void;
}) {
  const pictures = current.project.pictures.map((picture) => picture.name);
  const fields = fieldsOfAll(current.types).filter((field) => field.type !== 'record');
  return (
    <details>
      <summary className="cursor-default py-1 text-sm text-ash">
        rules for fields ({Object.keys(rules).length})
      </summary>
      <div className="max-h-48 overflow-auto">
        {fields.map((field) => (
          <div key={field.name} className="flex items-center justify-between gap-2 py-0.5 text-sm">
            <span className="truncate">{field.name}</span>
            <MenuButton
              label={`Rule for ${field.name}`}
              words={wordsOf(ownValue(rules, rawName(field)))}
              entries={ruleWords.map((words) => ({
                words,
                onChoose: () => onRules(withRule(rules, rawName(field), ruleFor(words, pictures))),
              }))}
            />
          </div>
        ))}
      </div>
    </details>
  );
}

const rawName = (field: Field): string => field.from ?? field.name;

function ruleFor(words: (typeof ruleWords)[number], pictures: readonly string[]): Rule | undefined {
  switch (words) {
    case 'as found':
      return undefined;
    case 'names':
      return { make: 'names' };
    case 'dates around today':
      return { make: 'dates', around: new Date().toISOString().slice(0, 10), days: 60 };
    case 'amounts':
      return { make: 'amounts', from: 0, to: 1_000, decimals: 2 };
    case 'pictures in turn':
      return { make: 'in turn', values: pictures };
    case 'a short list':
      return { make: 'list', max: 4, of: { make: 'names' } };
  }
}

const wordsOf = (rule: Rule | undefined): string => {
  const words: Readonly<Record<Rule['make'], string>> = {
    names: 'names',
    dates: 'dates around today',
    amounts: 'amounts',
    'in turn': 'pictures in turn',
    list: 'a short list',
  };
  return rule === undefined ? 'as found' : words[rule.make];
};

function withRule(
  rules: Readonly<Record<string, Rule>>,
  name: string,
  rule: Rule | undefined,
): Readonly<Record<string, Rule>> {
  const others = Object.entries(rules).filter(([each]) => each !== name);
  return Object.fromEntries(rule === undefined ? others : [...others, [name, rule]]);
}
