import { directionOf } from '../core/base';
import { type Item, keyReader } from '../core/items';
import { listStates, type Sequence, toggledWith, withKnown } from '../core/lists';
import { type PackedList, type PackedProject, PackedView } from '../core/packed';
import { pictureFinder } from '../core/pictures';
import { type DrawnPicture, ListView } from '../render';
import { actingIn } from './acting';
import { RowsInPage } from './heights';
import { sheet } from './styles';

/** What an app says of one item: the items that are not named stay as they are. */
export interface ItemChanges {
  readonly added?: readonly Item[];
  /** In the place of those with the same keys. */
  readonly changed?: readonly Item[];
  /** Keys. */
  readonly removed?: readonly string[];
}

interface Pack {
  readonly project: PackedProject;
  /** Where the files of the pack are. */
  readonly base: string;
}

/** Defines the element of a pack, once for a page. */
export function defineList(tag: string, project: PackedProject, base: string): void {
  if (customElements.get(tag) !== undefined) return;
  customElements.define(
    tag,
    class extends ListElement {
      constructor() {
        super({ project, base });
      }
    },
  );
}

/** A list of a project, drawn with the items that an app gives it. */
class ListElement extends HTMLElement {
  static readonly observedAttributes = [
    ...['list', 'look', 'locale', 'state', 'filter', 'label', 'scheme', 'now'],
  ];
  private readonly host = document.createElement('div');
  private readonly measuring = document.createElement('div');
  /** What is told to those who don't see it. */
  private readonly told = document.createElement('div');
  private readonly given = new Map<string, readonly Item[]>();
  private readonly pictures: (name: string) => DrawnPicture | undefined;
  private readonly hasPicture: (name: string) => boolean;
  private view: PackedView | undefined;
  private list: ListView | undefined;
  private toggled: readonly string[] = [];
  private drawn: Sequence | undefined;
  private version = 0;
  private edition = 0;
  private isDue = false;

  constructor(private readonly pack: Pack) {
    super();
    const { project, base } = pack;
    const root = this.attachShadow({ mode: 'open' });
    root.adoptedStyleSheets = [sheet(base)];
    this.host.className = 'list';
    this.host.part.add('list');
    this.measuring.className = 'measuring';
    const rows = document.createElement('div');
    rows.className = 'yc-sizer yc-own-heights';
    this.measuring.append(rows);
    this.told.className = 'told';
    this.told.setAttribute('role', 'status');
    root.append(this.host, this.measuring, this.told);
    const files = project.pictures.map(([name, file]) => ({ name, ...file }));
    const finder = pictureFinder(files);
    this.hasPicture = (name) => finder.has(name) || /^https?:/i.test(name);
    this.pictures = (name) => {
      if (/^https?:/i.test(name)) return { address: name, isSymbol: false };
      const scheme = getComputedStyle(this).colorScheme === 'dark' ? 'dark' : 'light';
      const density = Math.ceil(devicePixelRatio);
      const found = finder.best(name, { density, scheme, device: 'phone' });
      return found && { address: new URL(found.address, base).href, isSymbol: found.isSymbol };
    };
  }

  connectedCallback(): void {
    if (this.list === undefined) this.draw();
  }

  attributeChangedCallback(name: string): void {
    if (name === 'label') this.host.setAttribute('aria-label', this.getAttribute('label') ?? '');
    if (this.list === undefined) return;
    if (name === 'list') this.draw();
    else this.settingsChanged();
  }

  /** The items of the list's first source, as they come. */
  get items(): readonly Item[] {
    return this.given.get(this.source) ?? [];
  }

  set items(items: readonly Item[]) {
    this.give(this.source, items);
  }

  /** The items of any source of the project: those that a list shows beside its first, that inserts show, or that are looked up. */
  give(source: string, items: readonly Item[]): void {
    this.given.set(source, items);
    this.view?.itemsChanged();
    this.later();
  }

  /** Changes single items of the list's first source. */
  apply({ added = [], changed = [], removed = [] }: ItemChanges): void {
    const keyOf = this.keyOf();
    const gone = new Set<string | undefined>(removed);
    const fresh = new Map(changed.map((item) => [keyOf(item), item]));
    const kept = this.items.flatMap((item) => {
      const key = keyOf(item);
      if (key === undefined) return [item];
      return gone.has(key) ? [] : [fresh.get(key) ?? item];
    });
    this.items = [...kept, ...added];
  }

  /** Brings the row of the item with a key into sight; false: it has none. */
  scrollToKey(key: string): boolean {
    const entry = this.view?.entryOfKey(key) ?? -1;
    if (entry < 0) return false;
    this.show();
    this.list?.reveal(entry);
    return true;
  }

  /** Draws all of it as it is now: words that tell the time follow it. */
  refresh(): void {
    this.settingsChanged();
    this.view?.itemsChanged();
  }

  private get packed(): PackedList | undefined {
    const { lists } = this.pack.project;
    const wanted = this.getAttribute('list');
    return lists.find(({ list }) => list.id === wanted) ?? lists[0];
  }

  private get source(): string {
    return this.packed?.list.source ?? '';
  }

  private keyOf(): (item: Item) => string | undefined {
    const source = this.pack.project.sources.find(({ id }) => id === this.source);
    return keyReader(source?.rawKey ?? null);
  }

  private get settings() {
    const { looks, locales } = this.pack.project;
    const look = this.getAttribute('look') ?? looks[0];
    const state = listStates.find((each) => each === this.getAttribute('state'));
    return {
      locale: this.getAttribute('locale') ?? locales[0] ?? 'en',
      look: looks.includes(look ?? '') ? look : undefined,
      now: this.getAttribute('now') ?? new Date().toISOString(),
      filter: this.getAttribute('filter') ?? '',
      toggled: this.toggled,
      ...(state !== undefined && { state }),
    };
  }

  private settingsChanged(): void {
    this.edition += 1;
    this.host.dir = directionOf(this.settings.locale);
    this.host.lang = this.settings.locale;
    this.view?.show(this.settings);
    this.later();
  }

  private draw(): void {
    const { packed } = this;
    if (packed === undefined) return;
    this.list?.destroy();
    this.host.replaceChildren();
    this.drawn = undefined;
    const measured = new RowsInPage(rowsIn(this.measuring), () => this.later());
    this.view = new PackedView(
      this.pack.project,
      packed,
      { measured, items: this.given, hasPicture: this.hasPicture },
      this.settings,
    );
    this.list = new ListView(this.host, {
      entries: async (version, places) =>
        version === this.version ? (this.view?.entries(places) ?? []) : [],
      pictures: this.pictures,
      direction: () => directionOf(this.settings.locale),
      // What is pressed acts.
      pressed: () => {},
      acting: actingIn({
        ...{ project: this.pack.project, view: this.view, list: packed.list },
        pictures: this.pictures,
        itemsOf: (source) => this.given.get(source) ?? [],
        give: (source, items) => this.give(source, items),
        tell: (name, detail) => this.tell(name, detail),
        choose: (keys) => this.list?.choose(keys),
        say: (words) => {
          this.told.textContent = words;
        },
      }),
      folded: ({ key }) => {
        this.toggled = toggledWith(packed.list.id, key, this.toggled);
        this.view?.show(this.settings);
        this.later();
      },
      resized: () => this.later(),
    });
    this.settingsChanged();
    this.show();
  }

  /** Draws once for all that changes in one go. */
  private later(): void {
    if (this.isDue || this.list === undefined) return;
    this.isDue = true;
    queueMicrotask(() => this.show());
  }

  private show(): void {
    const { view, list, packed } = this;
    this.isDue = false;
    if (view === undefined || list === undefined || packed === undefined) return;
    this.version += 1;
    view.measured();
    const frame = view.frame(list.wanted());
    // What was measured for it is in it.
    this.isDue = false;
    this.drawn = withKnown(frame.sequence, this.drawn);
    list.show({
      ...{ ...frame, sequence: this.drawn },
      ...{ version: this.version, edition: this.edition, list: packed.list.id },
    });
  }

  /** False: who listens wants no more to be done. */
  private tell(name: string, detail: object): boolean {
    const init = { detail, bubbles: true, composed: true, cancelable: true };
    return this.dispatchEvent(new CustomEvent(name, init));
  }
}

const rowsIn = (measuring: HTMLElement): HTMLElement => {
  const [rows] = measuring.children;
  if (!(rows instanceof HTMLElement)) throw new Error('There is no place to measure in.');
  return rows;
};
