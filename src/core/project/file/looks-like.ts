/** Whether a text is meant to be a project: its first key says so. */
export function looksLikeProject(head: string): boolean {
  return /^\uFEFF?\s*\{\s*"yarncard"\s*:/.test(head);
}
