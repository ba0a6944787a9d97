import type { ClipboardEvent, KeyboardEvent } from 'react';
import { writesText } from '../../../shared/controls/writes-text';
import { copyTo } from '../commands/clipboard';
import type { Selection } from '../selection';
import { onPartKey } from './keys';

/** What keys and the clipboard do where parts have the focus: on the bench and in the outline. */
export const partEvents = (selection: Selection) => ({
  onKeyDown: (event: KeyboardEvent) => {
    if (!event.defaultPrevented && !writesText(event.nativeEvent)) onPartKey(event, selection);
  },
  onCopy: (event: ClipboardEvent) => {
    if (writesText(event.nativeEvent)) return;
    event.preventDefault();
    copyTo(event.clipboardData, selection, 'copy');
  },
  onCut: (event: ClipboardEvent) => {
    if (writesText(event.nativeEvent)) return;
    event.preventDefault();
    copyTo(event.clipboardData, selection, 'cut');
  },
});
