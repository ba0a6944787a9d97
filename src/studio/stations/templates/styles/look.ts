import type { CSSProperties } from 'react';
import { coloursOf, drawnStyles, type Project } from '../../../../core/project';
import { colourOf, type TextStyle } from '../../../../core/templates';
import { ownFace } from '../../../../core/text';

/** How words look in a style, as rows draw them. */
export function lookOf(project: Project, style: TextStyle): CSSProperties {
  const family = drawnStyles(project).find(({ name }) => name === style.name)?.family;
  const colour = colourOf(coloursOf(project), style.colour);
  return {
    fontFamily: family === undefined ? 'var(--row-face)' : `"${ownFace(family)}", var(--row-face)`,
    fontSize: style.size,
    lineHeight: `${style.lineHeight}px`,
    fontWeight: style.weight,
    letterSpacing: style.letterSpacing ?? 0,
    color: `light-dark(${colour?.light ?? ''}, ${colour?.dark ?? ''})`,
  };
}
