import { type DragEvent, type ReactNode, useEffect, useState } from 'react';
import { writesText } from '../shared/controls/writes-text';
import { arrive, arriveFiles, documentOf } from '../shared/opening/arrivals';

const holdsFiles = (event: DragEvent): boolean => event.dataTransfer.types.includes('Files');

/** A file can be dropped on anything, and pasted where no field has the caret. */
export function DropAnywhere({ children }: { readonly children: ReactNode }) {
  const [isOver, setOver] = useState(false);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      if (writesText(event) || event.defaultPrevented) return;
      const files = [...(event.clipboardData?.files ?? [])];
      const text = event.clipboardData?.getData('text') ?? '';
      if (files.length > 0) void arriveFiles(files);
      else if (text.trim() !== '') void arrive(documentOf(text, 'pasted'));
    };
    document.addEventListener('paste', onPaste);
    return () => document.removeEventListener('paste', onPaste);
  }, []);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping has its equals in "Choose a file" and pasting
    <div
      className="h-full"
      onDragOver={(event) => {
        if (!holdsFiles(event)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (event.relatedTarget === null) setOver(false);
      }}
      onDrop={(event) => {
        setOver(false);
        const files = [...event.dataTransfer.files];
        if (files.length === 0) return;
        event.preventDefault();
        void arriveFiles(files);
      }}
    >
      {children}
      {isOver && (
        <div className="pointer-events-none fixed inset-2 z-50 grid place-items-center rounded-md border-2 border-dashed border-woad bg-wool/85 text-lg font-semibold">
          Drop items, pictures or a project file
        </div>
      )}
    </div>
  );
}
