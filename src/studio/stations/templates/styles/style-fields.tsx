import Trash2 from 'lucide-react/icons/trash-2';
import { coloursOf, edits, type Project } from '../../../../core/project';
import type { TextStyle } from '../../../../core/templates';
import { Button, MenuButton, Row } from '../../../shared/controls/controls';
import { NumberField } from '../../../shared/controls/number-field';
import { Renamed } from '../../../shared/controls/renamed';
import { make, whyNot } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';

interface StyleFieldsProps {
  readonly project: Project;
  readonly style: TextStyle;
}

const ofEveryProject = 'as every project has';

/** What a style says: each change is seen in all that has it. */
export function StyleFields({ project, style }: StyleFieldsProps) {
  const { name } = style;
  const set = (change: Parameters<typeof edits.changeStyle>[1]) =>
    make(edits.changeStyle(name, change, `style ${name} ${Object.keys(change).join()}`));
  const remove = edits.removeStyle(name);
  const why = whyNot(remove);
  return (
    <section aria-label={`Style ${name}`}>
      <div className="flex items-center gap-2 py-1">
        <Renamed
          label={`Name of the style ${name}`}
          words={name}
          onRename={(next) => {
            const refused = make(edits.renameStyle(name, next));
            if (refused === undefined) goWithin({ style: next.trim() }, 'replace');
            return refused;
          }}
        />
        <Button
          label={why ?? `Remove style ${name}`}
          isDisabled={why !== undefined}
          onPress={() => {
            if (make(remove) === undefined) goWithin({ style: undefined }, 'replace');
          }}
        >
          <Trash2 size={14} aria-hidden="true" />
        </Button>
      </div>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-x-4">
        <Row words="size">
          <NumberField
            {...{ label: 'Size', value: style.size, min: 4, max: 200 }}
            onChange={(size) => set({ size })}
          />
        </Row>
        <Row words="line">
          <NumberField
            {...{ label: 'Line height', value: style.lineHeight, min: 4, max: 400 }}
            onChange={(lineHeight) => set({ lineHeight })}
          />
        </Row>
        <Row words="weight">
          <NumberField
            {...{ label: 'Weight', value: style.weight, min: 100, max: 900, step: 50 }}
            onChange={(weight) => set({ weight })}
          />
        </Row>
        <Row words="spacing">
          <NumberField
            {...{ label: 'Letter spacing', value: style.letterSpacing ?? 0, min: -10, max: 40 }}
            step={0.1}
            onChange={(spacing) => set({ letterSpacing: spacing === 0 ? undefined : spacing })}
          />
        </Row>
        <Row words="colour">
          <MenuButton
            label="Colour"
            words={style.colour}
            entries={coloursOf(project).map((colour) => ({
              words: colour.name,
              isChosen: colour.name === style.colour,
              onChoose: () => set({ colour: colour.name }),
            }))}
          />
        </Row>
        <Row words="font">
          <MenuButton
            label="Font"
            words={style.family ?? ofEveryProject}
            givesWay
            entries={[
              {
                words: ofEveryProject,
                isChosen: style.family === undefined,
                onChoose: () => set({ family: undefined }),
              },
              ...(project.fonts ?? []).map((font) => ({
                words: font.name,
                isChosen: font.name === style.family,
                onChoose: () => set({ family: font.name }),
              })),
            ]}
          />
        </Row>
      </div>
    </section>
  );
}
