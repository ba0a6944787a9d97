import { useEffect, useRef } from 'react';
import { looksLikePiece } from '../../../../core/project';
import { writesText } from '../../../shared/controls/writes-text';
import type { Selection } from '../selection';
import { pasteText } from './clipboard';

/** Parts that are pasted go beside the selected one, wherever the focus is; all else are items, as everywhere. */
export function usePasting(selection: Selection): void {
  const latest = useRef(selection);
  latest.current = selection;
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (writesText(event) || !looksLikePiece(text)) return;
      event.preventDefault();
      void pasteText(text, latest.current);
    };
    document.addEventListener('paste', onPaste, { capture: true });
    return () => document.removeEventListener('paste', onPaste, { capture: true });
  }, []);
}
