import type { Finding } from '../../core/base';
import {
  brokenReferences,
  compileFor,
  type FindItem,
  type Project,
  tokensOf,
  withId,
} from '../../core/project';
import type { CompiledTemplate } from '../../core/templates';

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
    const { types, formats, sources, pictures } = project;
    const keys = sources.map(({ id, key }) => [id, key]);
    const names = pictures.map(({ name }) => name);
    this.around = JSON.stringify([types, formats, keys, locale, tokensOf(project), names]);
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
      ...project.templates.flatMap(({ id }) => this.compiled(id)?.findings ?? []),
    ];
    return this.findingsKnown;
  }
}
