import {
  atOnce,
  type Finding,
  failed,
  inTurns,
  isRecord,
  type Json,
  ok,
  type Result,
} from '../../../base';
import { likelyDiscriminator } from '../../discriminator';
import { itemFindings } from '../../findings';
import { asItem, type Item } from '../../item';
import {
  coveringList,
  type ListFound,
  listPath,
  maxDepth,
  scanJson,
  type TakeElements,
} from '../../json/scan';
import { findJsonFault, positionAt } from '../../json/strict';
import { nameTwice } from '../../json/twice';
import { Shapes } from '../../shape';
import type { ItemsRead, Reader, ReadPorts, ReadTask } from '../reader';
import { DigitKeeper } from './numbers';
import { itemsAtPath } from './path';
import { isDeeper, isWithoutValues, likeliestPlace } from './where-items';

export const json: Reader = {
  format: 'json',
  extensions: ['json', 'geojson'],

  looksLike: (head) =>
    /^\s*[[{]/.test(head) ||
    /^\s*(?:"(?:[^"\\]|\\.)*"|-?\d[\d.eE+-]*|true|false|null)\s*$/.test(head),

  first(head, task) {
    if (task.at !== undefined) return undefined;
    const list = coveringList(atOnce(scanJson(head)).lists, head);
    // A list that is over may be followed by a longer one.
    if (list?.end !== undefined || list === undefined) return undefined;
    if (list.wholeUntil <= list.start + 1 || areRows(head, list)) return undefined;
    const keeper = new DigitKeeper();
    try {
      const elements = keeper.parse(`[${head.slice(list.start + 1, list.wholeUntil)}]`);
      return {
        format: 'json',
        at: listPath(list.path),
        items: itemsOf(elements),
        findings: keeper.findings(task.file),
      };
    } catch {
      return undefined;
    }
  },

  async all(text, task, ports) {
    const read = await itemsIn(text, task, ports);
    return read.ok ? ok(withNamesTwice(read.value, text, task)) : read;
  },
};

/** What was read, and the name that stands twice in a record, if one does. */
export function withNamesTwice(read: ItemsRead, text: string, { file }: ReadTask): ItemsRead {
  const twice = nameTwice(text);
  if (twice === undefined) return read;
  const at = positionAt(text, twice.offset);
  return { ...read, findings: [...read.findings, itemFindings.nameTwice(file, at, twice.name)] };
}

async function itemsIn(
  text: string,
  task: ReadTask,
  ports: ReadPorts,
): Promise<Result<ItemsRead, Finding>> {
  if (task.at !== undefined) return allAtPath(text, task, task.at);
  const keeper = new DigitKeeper();
  const parsed = new Map<ListFound, Taken>();
  const take: TakeElements = (list, from, to) => {
    const elements = parsedSlice(keeper, text.slice(from, to));
    if (elements === undefined) return -1;
    const own = parsed.get(list) ?? startTaking(elements, task.gathers === true);
    for (const item of elements) {
      own.items.push(item);
      own.shapes?.add(item);
    }
    parsed.set(list, own);
    return elements.length;
  };
  const scan = await inTurns(scanJson(text, take), ports.pause, ports.progress);
  if (scan.trouble !== undefined || scan.root === 'value' || scan.root === 'nothing') {
    return failed(refusal(text, task.file));
  }
  const list = scan.isScattered ? undefined : coveringList(scan.lists, text);
  if (list === undefined || areRows(text, list)) return wherever(text, task, scan.lists);
  const taken = parsed.get(list);
  const items = taken?.items ?? parsedSlice(keeper, text.slice(list.start + 1, list.end));
  if (list.end === undefined || items === undefined || !isJsonAround(text, scan.lists, keeper)) {
    return failed(refusal(text, task.file));
  }
  const at = listPath(list.path);
  if (items.length === 0) return ok(noItems(task, at));
  const gathered = taken?.shapes;
  const places = scan.lists
    .filter((each) => each.holds === 'records' && each.elementCount > 0)
    .map((each) => ({ at: listPath(each.path), count: each.elementCount }));
  return ok({
    format: 'json',
    at,
    items,
    findings: keeper.findings(task.file),
    places,
    ...(gathered && { gathered }),
  });
}

/** A list without items yet: its type can be written. */
const noItems = ({ file }: ReadTask, at: string): ItemsRead => ({
  ...{ format: 'json', at, items: [], columns: [] },
  findings: [itemFindings.listEmpty(file, at)],
});

interface Taken {
  readonly items: Item[];
  readonly shapes: Shapes | undefined;
}

/** The first slice foresees what tells the types apart; inference checks it on items from all over. */
function startTaking(first: readonly Item[], gathers: boolean): Taken {
  return { items: [], shapes: gathers ? new Shapes(likelyDiscriminator(first)) : undefined };
}

/** The elements that a text holds, if it holds nothing else. */
function parsedSlice(keeper: DigitKeeper, text: string): Item[] | undefined {
  try {
    return itemsOf(keeper.parse(`[${text}]`));
  } catch {
    return undefined;
  }
}

/** Whether the document is JSON where it is not in a list of records, which were parsed already. */
function isJsonAround(text: string, lists: readonly ListFound[], keeper: DigitKeeper): boolean {
  let around = '';
  let from = 0;
  for (const list of lists) {
    if (list.holds !== 'records' || list.end === undefined) continue;
    around += `${text.slice(from, list.start)}[]`;
    from = list.end + 1;
  }
  try {
    keeper.parse(around + text.slice(from));
    return true;
  } catch {
    return false;
  }
}

/** Rows of cells are named by what stands around them. */
const areRows = (text: string, { start }: ListFound): boolean =>
  /^\[\s*\[/.test(text.slice(start, start + 200));

/**
 * The items where no list is most of the document: the values of a record of alike ones by their
 * names, a list within one of few records; a document that is one record is a list of one.
 */
async function wherever(
  text: string,
  task: ReadTask,
  scanned: readonly ListFound[],
): Promise<Result<ItemsRead, Finding>> {
  const keeper = new DigitKeeper();
  try {
    const root = keeper.parse(text);
    // Where many lists were met, the rest of the text was not looked at.
    if (isDeeper(root, maxDepth)) return failed(refusal(text, task.file));
    const place = likeliestPlace(root);
    if (place !== undefined) {
      const { at } = place.best;
      const items = await itemsAtPath(root, at, task);
      if (!items.ok) return items;
      const findings = keeper.findings(task.file);
      return ok({ format: 'json', at, items: items.value, findings, places: place.all });
    }
    const empty = scanned.find(({ elementCount }) => elementCount === 0);
    if (empty !== undefined && isWithoutValues(root))
      return ok(noItems(task, listPath(empty.path)));
    if (isRecord(root) && Object.keys(root).length > 0) {
      return ok({ format: 'json', at: '$', items: [root], findings: keeper.findings(task.file) });
    }
    return failed(itemFindings.noList(task.file));
  } catch {
    return failed(refusal(text, task.file));
  }
}

async function allAtPath(
  text: string,
  task: ReadTask,
  at: string,
): Promise<Result<ItemsRead, Finding>> {
  const keeper = new DigitKeeper();
  let root: Json;
  try {
    root = keeper.parse(text);
  } catch {
    return failed(refusal(text, task.file));
  }
  const items = await itemsAtPath(root, at, task);
  if (!items.ok) return items;
  return ok({ format: 'json', at, items: items.value, findings: keeper.findings(task.file) });
}

/** The finding for a text that is not a JSON document with a list in it. */
export function refusal(text: string, file: string): Finding {
  const fault = findJsonFault(text);
  if (fault === undefined) return itemFindings.jsonScalar(file, text.trim().slice(0, 40));
  const at = positionAt(text, fault.offset);
  return fault.isTooDeep
    ? itemFindings.nestedTooDeep(file, at, maxDepth)
    : itemFindings.notJson(file, at, fault.wrong);
}

function itemsOf(elements: Json): Item[] {
  return Array.isArray(elements) ? elements.map(asItem) : [];
}
