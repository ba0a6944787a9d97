import type { Finding } from '../../core/base';
import {
  brokenReferences,
  compileFor,
  type FindItem,
  type Project,
  tokensOf,
  withId,
} from '../../core/project';
import { type CompiledTemplate, type Template, usesAround, writtenAt } from '../../core/templates';

interface Known {
  /** As JSON, what it was made of: a project that crossed from the page is another object each time. */
  readonly of: string;
  readonly compiled: CompiledTemplate;
}

/** The templates of a project made ready; each is kept as long as what it is made of stays. */
export class CompiledTemplates {
  private readonly known = new Map<string, Known>();
  private project: Project | undefined;
  /** What all templates are made of beside themselves. */
  private around = '';
  private locale = '';
  private findingsKnown: readonly Finding[] | undefined;

  /** `find`: gives the item of a source that has a key, for lookups. */
  constructor(private readonly find: FindItem) {}

  take(project: Project, locale: string): void {
    if (project === this.project && locale === this.locale) return;
    const { types, formats, sources, pictures, sharedParts } = project;
    const keys = sources.map(({ id, key }) => [id, key]);
    const names = pictures.map(({ name }) => name);
    this.around = JSON.stringify([
      ...[types, formats, keys, locale, tokensOf(project), names, sharedParts],
    ]);
    this.project = project;
    this.locale = locale;
    this.findingsKnown = undefined;
    for (const id of this.known.keys())
      if (withId(project.templates, id) === undefined) this.known.delete(id);
  }

  compiled(id: string): CompiledTemplate | undefined {
    const { project } = this;
    const template = project && withId(project.templates, id);
    if (project === undefined || template === undefined) return undefined;
    const of = JSON.stringify(template) + this.around;
    const known = this.known.get(id);
    if (known?.of === of) return known.compiled;
    const compiled = compileFor(project, template, this.find, this.locale);
    this.known.set(id, { of, compiled });
    return compiled;
  }

  /** What is wrong with the project as it stands, whatever its items. */
  findings(): readonly Finding[] {
    const { project } = this;
    if (project === undefined) return [];
    this.findingsKnown ??= [
      ...brokenReferences(project),
      ...eachWrittenOnce(
        project.templates.flatMap(({ id }) => this.compiled(id)?.findings ?? []),
        (id) => this.compiled(id)?.template,
      ),
    ];
    return this.findingsKnown;
  }
}

/** What is wrong within a shared part is told where it is used first. */
function eachWrittenOnce(
  findings: readonly Finding[],
  templateOf: (id: string) => Template | undefined,
): readonly Finding[] {
  const known = new Set<string>();
  return findings.filter(({ code, message, place }) => {
    if (place.in !== 'part' || usesAround(place.part).length === 0) return true;
    const row = templateOf(place.template)?.row;
    if (row === undefined) return true;
    const { shared, part } = writtenAt(row, place.part);
    const key = JSON.stringify([code, message, shared, part, place.property]);
    const isNew = !known.has(key);
    known.add(key);
    return isNew;
  });
}
