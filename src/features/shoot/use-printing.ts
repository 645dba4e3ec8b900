import { useState } from 'react';
import { downloadBlob } from '@/ui/files';
import { useToast } from '@/ui/Toast';

/** Makes PDFs, one at a time. */
export function usePrinting() {
  const say = useToast();
  const [printing, setPrinting] = useState(false);
  const save = (make: () => Promise<Uint8Array>, name: string) => {
    setPrinting(true);
    make()
      .then(
        (pdf) => downloadBlob(name, new Blob([pdf.slice()], { type: 'application/pdf' })),
        (error: Error) => say({ text: `No PDF: ${error.message}` }),
      )
      .finally(() => setPrinting(false));
  };
  return { printing, save };
}
