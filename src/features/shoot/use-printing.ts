import { useState } from 'react';
import type { PrintSheet } from '@/formats/print-sheet';
import { downloadBlob } from '@/ui/files';
import { useToast } from '@/ui/Toast';
import { printed } from '@/workers/print-client';

/** Makes PDFs, one at a time. */
export function usePrinting() {
  const say = useToast();
  const [printing, setPrinting] = useState(false);
  const save = (sheet: PrintSheet, name: string) => {
    setPrinting(true);
    printed(sheet)
      .then(
        (pdf) => downloadBlob(name, new Blob([pdf.slice()], { type: 'application/pdf' })),
        (error: Error) => say({ text: `No PDF: ${error.message}` }),
      )
      .finally(() => setPrinting(false));
  };
  return { printing, save };
}
