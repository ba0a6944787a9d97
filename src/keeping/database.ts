import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Entry, RowPlan } from '../core/lists';
import type { Picture } from '../core/pictures';
import { migrated, type Project } from '../core/project';

/** A few real rows, finished, so that the start page can draw the project without its items. */
export interface Preview {
  readonly plans: readonly RowPlan[];
  readonly entries: readonly Entry[];
  readonly pictures: readonly Picture[];
}

export const noPreview: Preview = { plans: [], entries: [], pictures: [] };

export interface KeptProject {
  readonly id: string;
  readonly project: Project;
  readonly itemCount: number;
  /** Milliseconds since 1970. */
  readonly keptAt: number;
  readonly preview: Preview;
  /** The page that may write it: whoever took it over wrote its own name here. */
  readonly writer?: string;
  /** Whether its pictures may come from addresses outside; missing: they may. */
  readonly loadsOutside?: boolean;
  /** Milliseconds since 1970; it goes for good some time after. */
  readonly removedAt?: number;
}

export interface KeptSource {
  readonly project: string;
  readonly source: string;
  readonly itemCount: number;
  readonly chunkCount: number;
  /** Every writing gives another stamp. */
  readonly stamp?: string;
}

/** About a thousand items as one JSON text: twenty times quicker to store than a record an item. */
export interface KeptChunk {
  readonly project: string;
  readonly source: string;
  readonly part: number;
  readonly text: string;
}

/** What pictures of a project show, once for each content. */
export interface KeptContent {
  readonly project: string;
  readonly content: string;
  readonly base64: string;
}

/** What was handed off last. */
export interface KeptHandOff {
  readonly project: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly files: readonly { readonly path: string; readonly text: string }[];
  /** The folder that it was written to; undefined: it was a zip file. */
  readonly folder: FileSystemDirectoryHandle | undefined;
}

export class Database extends Dexie {
  declare readonly projects: EntityTable<KeptProject, 'id'>;
  declare readonly sources: Table<KeptSource, [string, string]>;
  declare readonly chunks: Table<KeptChunk, [string, string, number]>;
  declare readonly contents: Table<KeptContent, [string, string]>;
  declare readonly handOffs: EntityTable<KeptHandOff, 'project'>;

  constructor(name: string) {
    super(name);
    this.version(1).stores({
      projects: 'id, keptAt',
      sources: '[project+source], project',
      chunks: '[project+source+part], project',
    });
    this.version(2)
      .stores({ contents: '[project+content], project' })
      .upgrade(async (upgraded) => {
        const contents: KeptContent[] = [];
        await upgraded
          .table('projects')
          .toCollection()
          .modify((kept) => {
            const { contents: own, ...project } = migrated(kept.project);
            for (const [content, base64] of Object.entries(own ?? {}))
              contents.push({ project: kept.id, content, base64: String(base64) });
            kept.project = project;
            // Rows of the first version were drawn from plans of another form: they come with the next keeping.
            kept.preview = noPreview;
          });
        await upgraded.table('contents').bulkAdd(contents);
      });
    this.version(3)
      .stores({})
      .upgrade((upgraded) =>
        upgraded
          .table('projects')
          .toCollection()
          .modify((kept) => {
            // Plans did not say what their texts are set in.
            kept.preview = noPreview;
          }),
      );
    this.version(4).stores({ handOffs: 'project' });
  }
}

export const database = new Database('yarn-card');
