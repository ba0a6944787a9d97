import Plus from 'lucide-react/icons/plus';
import { Suspense } from 'react';
import { count, freeId } from '../../../../core/base';
import {
  coloursOf,
  edits,
  type Project,
  startingSets,
  stylesOf,
  usesOfName,
} from '../../../../core/project';
import type { TextStyle } from '../../../../core/templates';
import { Button, Heading, MenuButton } from '../../../shared/controls/controls';
import { onDemand } from '../../../shared/controls/on-demand';
import { make } from '../../../shared/session/editing';
import { goWithin, useRoute } from '../../../shared/session/route';
import { SharedParts } from '../shared/shared-parts';
import { Colours } from './colours';
import { Fonts } from './fonts';
import { lookOf } from './look';
import { Spacing } from './spacing';
import { StyleFields } from './style-fields';
import { StyleUses } from './style-uses';

const Tokens = onDemand(() => import('./tokens'));

/** The project's text styles: each drawn in itself, changed in one place, with all that has it. */
export function Styles({ project }: { readonly project: Project }) {
  const { route } = useRoute();
  const styles = stylesOf(project);
  const { style: named, panel } = route.page === 'project' ? route : {};
  const isOfColours = panel === 'colours';
  const chosen = styles.find(({ name }) => name === named) ?? styles[0];
  if (chosen === undefined) return null;
  return (
    <>
      <section
        data-pane="values"
        aria-label="Text styles"
        className="min-h-0 overflow-auto border-r border-rule px-3 py-1.5"
      >
        <Heading>Text styles</Heading>
        <ul className="grid gap-1">
          {styles.map((style) => (
            <li key={style.name}>
              <StyleButton {...{ project, style }} isChosen={!isOfColours && style === chosen} />
            </li>
          ))}
        </ul>
        <div className="py-2">
          <Button onPress={() => addLike(chosen, styles)}>
            <Plus size={14} aria-hidden="true" /> New style
          </Button>
        </div>
        <Heading>Colours and spacing</Heading>
        <button
          type="button"
          aria-current={isOfColours ? 'true' : undefined}
          className="mb-2 flex w-full flex-wrap gap-1 rounded-md border border-rule bg-paper p-2 aria-[current=true]:border-woad aria-[current=true]:ring-1 aria-[current=true]:ring-woad"
          onClick={() => goWithin({ panel: 'colours' }, 'replace')}
        >
          <span className="sr-only">All colours, and spacing</span>
          {coloursOf(project).map(({ name, light, dark }) => (
            <span
              key={name}
              className="size-5 rounded-full border border-rule"
              style={{ background: `linear-gradient(90deg, ${light} 50%, ${dark} 50%)` }}
            />
          ))}
        </button>
        <MenuButton
          words="Look like …"
          entries={startingSets.map((each) => ({
            words: each.name,
            hint: each.about,
            onChoose: () => make(edits.takeSet(each)),
          }))}
        />
        <Fonts project={project} />
        <Suspense fallback={null}>
          <Tokens project={project} />
        </Suspense>
      </section>
      <div data-pane="bench" className="min-h-0 overflow-auto px-4 py-1.5">
        {isOfColours ? (
          <>
            <Colours project={project} />
            <Spacing project={project} />
            <SharedParts project={project} />
          </>
        ) : (
          <>
            <StyleFields key={chosen.name} {...{ project, style: chosen }} />
            <StyleUses {...{ project, style: chosen }} />
          </>
        )}
      </div>
    </>
  );
}

interface StyleButtonProps {
  readonly project: Project;
  readonly style: TextStyle;
  readonly isChosen: boolean;
}

function StyleButton({ project, style, isChosen }: StyleButtonProps) {
  return (
    <button
      type="button"
      aria-current={isChosen ? 'true' : undefined}
      className="scheme-light block w-full overflow-hidden rounded-md border border-rule px-2.5 py-1 text-start whitespace-nowrap aria-[current=true]:border-woad aria-[current=true]:ring-1 aria-[current=true]:ring-woad"
      onClick={() => goWithin({ style: style.name, panel: 'styles' }, 'replace')}
    >
      <span className="block truncate" style={lookOf(project, style)}>
        {style.name}
      </span>
      <span className="block truncate text-xs" style={{ color: 'var(--row-ash)' }}>
        {style.size}/{style.lineHeight} · {style.weight} ·{' '}
        {count(usesOfName(project, 'style', style.name).length, 'part')}
      </span>
    </button>
  );
}

/** A new style begins as the one that was looked at. */
function addLike(style: TextStyle, styles: readonly TextStyle[]): void {
  const name = freeId(
    'style',
    styles.map((each) => each.name),
  );
  if (make(edits.addStyle({ ...style, name })) === undefined) goWithin({ style: name }, 'replace');
}
