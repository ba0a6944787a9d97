import { type DragEvent, type ReactNode, useEffect, useState } from 'react';
import { arrive } from '../shared/arrivals';

const holdsFiles = (event: DragEvent): boolean => event.dataTransfer.types.includes('Files');

/** A file can be dropped on anything, and pasted where no field has the caret. */
export function DropAnywhere({ children }: { readonly children: ReactNode }) {
  const [isOver, setOver] = useState(false);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const target = event.target;
      if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) return;
      const file = event.clipboardData?.files[0];
      const text = event.clipboardData?.getData('text') ?? '';
      if (file !== undefined) void arrive({ file, name: file.name });
      else if (text.trim() !== '') void arrive({ file: new Blob([text]), name: 'pasted' });
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
        const file = event.dataTransfer.files[0];
        if (file === undefined) return;
        event.preventDefault();
        void arrive({ file, name: file.name });
      }}
    >
      {children}
      {isOver && (
        <div className="pointer-events-none fixed inset-2 z-50 grid place-items-center rounded-md border-2 border-dashed border-woad bg-wool/85 text-lg font-semibold">
          Drop items or a project file
        </div>
      )}
    </div>
  );
}
