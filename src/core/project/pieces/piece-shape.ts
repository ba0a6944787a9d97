import { ValidationError } from 'yup';
import { failed, type JsonRecord, ok, type Result } from '../../base';
import { holdTo } from '../../shape';
import { type Template, templateShape } from '../../templates';
import { pieceShape } from '../shapes';
import type { Piece } from './piece';

const hold = holdTo(pieceShape);

/** A piece as it is, if it has the shape of one; else what is wrong with it. */
export function heldPiece(value: JsonRecord): Result<Piece, string> {
  try {
    return ok(hold(value));
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const { message } = error.inner[0] ?? error;
    return failed(`What was pasted can’t be read: ${message.slice(0, maxSaid)}.`);
  }
}

const holdTemplate = holdTo(templateShape);

/** A template as it is, if it has the shape of one; else what is wrong with it first, and at which path. */
export function heldTemplate(
  value: JsonRecord,
): Result<Template, { readonly why: string; readonly path: string }> {
  try {
    return ok(holdTemplate(value));
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const { path = '', message } = error.inner[0] ?? error;
    return failed({ path, why: `${message.slice(0, maxSaid)}.` });
  }
}

const maxSaid = 200;
