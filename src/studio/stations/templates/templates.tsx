import { type ReactNode, Suspense, useMemo, useRef } from 'react';
import { withId } from '../../../core/project';
import { Button } from '../../shared/controls/controls';
import { onDemand } from '../../shared/controls/on-demand';
import { placeOfTemplate } from '../../shared/session/current';
import { goWithin, useRoute } from '../../shared/session/route';
import { useProject } from '../../shared/session/session';
import { Bench } from './bench/bench';
import { useDragMarks } from './bench/dragging/drag-marks';
import { Extremes } from './bench/extremes';
import { PartLine } from './bench/part-line';
import { Threads } from './bench/threads/threads';
import { useFocusKept } from './bench/use-focus-kept';
import { usePasting } from './commands/use-pasting';
import { Heard } from './heard/heard';
import { Outline } from './outline';
import { Properties } from './properties';
import { SpaceBar } from './room/space-bar';
import { type Selection, useSelection } from './selection';
import { TemplateMenu } from './several/template-menu';
import { Split } from './split';
import { Styles } from './styles/styles';
import { TraceLine } from './trace-line';
import { ValuesList } from './values-list';

const DraftsScreen = onDemand(() => import('./several/drafts-screen'));
const ActionsScreen = onDemand(() => import('./does/actions-screen'));
const TextPanel = onDemand(() => import('./text/text-panel'));
const CompareScreen = onDemand(() => import('./several/compare-screen'));

const PictureScreen = onDemand(() => import('./picture/picture-screen'));

const screens = [
  ['drafts', 'Draft'],
  ['compare', 'Compare'],
  ['text', 'As text'],
  ['picture', 'As a picture'],
] as const;

/** The heart: values on one side, the row on the bench, threads between them. */
export default function Templates() {
  const selection = useSelection();
  const { route } = useRoute();
  const panel = route.page === 'project' ? route.panel : undefined;
  if (selection === undefined) return null;
  switch (panel) {
    case 'styles':
    case 'colours':
      return (
        <Screen selection={selection}>
          <Styles project={selection.project} />
        </Screen>
      );
    case 'drafts':
      return (
        <Screen selection={selection}>
          <DraftsScreen selection={selection} key={selection.template.id} />
        </Screen>
      );
    case 'compare':
      return (
        <Screen selection={selection}>
          <CompareScreen selection={selection} key={selection.template.id} />
        </Screen>
      );
    case 'picture':
      return (
        <Screen selection={selection}>
          <PictureScreen selection={selection} key={selection.template.id} />
        </Screen>
      );
    case 'actions':
      return (
        <Screen selection={selection}>
          <ActionsScreen project={selection.project} />
        </Screen>
      );
    default:
      return <TemplateScreen selection={selection} isText={panel === 'text'} />;
  }
}

interface TemplateScreenProps {
  readonly selection: Selection;
  /** The template's text stands in the place of properties. */
  readonly isText: boolean;
}

function TemplateScreen({ selection, isText }: TemplateScreenProps) {
  const room = useRef<HTMLDivElement>(null);
  useFocusKept(room);
  usePasting(selection);
  // A drag is followed by the row on the bench and those of the window, and, where it rests, by
  // extremes; what is written about the part is written once it is let go.
  const isDragging = useDragMarks(({ chip }) => chip !== undefined);
  const letGo = useRef(selection);
  if (!isDragging) letGo.current = selection;
  const calm = letGo.current;
  const { template, part } = calm;
  const besides = useMemo(
    () => (
      <div
        data-pane="values"
        className="group/values row-span-2 flex min-h-0 flex-col border-r border-rule in-data-[windows=two]:ms-[-184px] in-data-[windows=two]:w-[228px] in-data-[windows=two]:focus-within:z-10 in-data-[windows=two]:focus-within:ms-0 in-data-[windows=two]:focus-within:bg-wool in-data-[windows=two]:hover:z-10 in-data-[windows=two]:hover:ms-0 in-data-[windows=two]:hover:bg-wool"
      >
        <ValuesList selection={calm} />
        <Outline selection={calm} />
        <Heard selection={calm} />
      </div>
    ),
    [calm],
  );
  const beneath = useMemo(
    () => (
      <>
        <SpaceBar selection={calm} />
        <Split name="extremes" words="Height of the extremes" max={0.6} first={96}>
          <Extremes selection={calm} />
        </Split>
      </>
    ),
    [calm],
  );
  const properties = useMemo(
    () => (
      <div data-pane="properties" className="contents max-[1000px]:block">
        {isText ? (
          <Suspense fallback={null}>
            <TextPanel selection={calm} key={template.id} />
          </Suspense>
        ) : (
          <Properties selection={calm} key={`${template.id}/${part.id}`} />
        )}
      </div>
    ),
    [calm, isText, template.id, part.id],
  );
  const line = useMemo(() => <PartLine selection={calm} />, [calm]);
  const toolbar = useMemo(() => <Toolbar selection={calm} />, [calm]);
  const trace = useMemo(() => <TraceLine selection={calm} />, [calm]);
  return (
    <div className="grid h-full grid-cols-[228px_minmax(0,1fr)] in-data-[windows=two]:grid-cols-[44px_minmax(0,1fr)] grid-rows-[40px_auto_minmax(0,1fr)_32px] max-[1000px]:grid-cols-[minmax(0,1fr)]">
      {toolbar}
      <div
        ref={room}
        className="relative col-span-2 row-span-2 grid min-h-0 grid-cols-subgrid grid-rows-subgrid max-[1000px]:col-span-1 max-[1000px]:block max-[1000px]:overflow-auto"
      >
        {besides}
        <div data-pane="bench" className="min-h-0 min-w-0">
          {line}
          <Split name="bench" words="Height of the bench" max={0.4}>
            <Bench selection={selection} />
          </Split>
          {beneath}
        </div>
        {properties}
        <Threads room={room} selection={selection} />
      </div>
      {trace}
    </div>
  );
}

interface ScreenProps {
  readonly selection: Selection;
  readonly children: ReactNode;
}

/** Something that takes the place of bench and properties. */
function Screen({ selection, children }: ScreenProps) {
  return (
    <div className="grid h-full grid-cols-[228px_minmax(0,1fr)] grid-rows-[40px_minmax(0,1fr)] max-[1000px]:grid-cols-[minmax(0,1fr)]">
      <Toolbar selection={selection} />
      <Suspense fallback={null}>{children}</Suspense>
    </div>
  );
}

function Toolbar({ selection }: { readonly selection: Selection }) {
  const project = useProject();
  const { route } = useRoute();
  const panel = route.page === 'project' ? route.panel : undefined;
  const isOfStyles = panel === 'styles' || panel === 'colours';
  const { template, type } = selection;
  return (
    <div className="col-span-2 flex items-center gap-2 border-b border-rule px-3 max-[1000px]:col-span-1">
      <h1 className="sr-only">Templates</h1>
      <div className="flex min-w-0 flex-1 items-center gap-1.5 overflow-x-auto overflow-y-hidden">
        {project?.templates.map((each) => (
          <button
            key={each.id}
            type="button"
            aria-pressed={!isOfStyles && each.id === template.id}
            className="flex h-6 shrink-0 items-center gap-1.5 rounded-full border border-rule bg-paper px-2.5 text-sm whitespace-nowrap hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
            onClick={() =>
              goWithin({
                ...placeOfTemplate(each.id),
                panel: isOfStyles ? undefined : panel,
              })
            }
          >
            <b className="font-semibold">{withId(project.types, each.type)?.name ?? each.type}</b>{' '}
            {each.name}
          </button>
        ))}
        {type === undefined && (
          <span className="text-sm text-madder">its item type is not there</span>
        )}
      </div>
      <span className="flex shrink-0 gap-1">
        <TemplateMenu selection={selection} />
        {screens.map(([name, words]) => (
          <Button
            key={name}
            isPressed={panel === name}
            onPress={() => goWithin({ panel: panel === name ? undefined : name })}
          >
            {words}
          </Button>
        ))}
        <Button
          isPressed={isOfStyles}
          onPress={() => goWithin({ panel: isOfStyles ? undefined : 'styles' })}
        >
          Styles
        </Button>
        <Button
          isPressed={panel === 'actions'}
          onPress={() => goWithin({ panel: panel === 'actions' ? undefined : 'actions' })}
        >
          Actions
        </Button>
      </span>
    </div>
  );
}
