import { useEffect, useState } from 'react';

/** How far a paper is: being made, made, or not to be had. */
export type Printed =
  | { readonly state: 'making'; readonly part: number }
  | { readonly state: 'made'; readonly name: string; readonly url: string }
  | { readonly state: 'failed'; readonly why: string };

/** A PDF's bytes as they travel in an event. @param pdf in base64 */
export const pdfOf = (pdf: string): Blob =>
  new Blob([Uint8Array.from(atob(pdf), (c) => c.charCodeAt(0))], { type: 'application/pdf' });

/**
 * Has a paper made, and follows it.
 * @param address that of its events: `progress`, then `done` or `failed`
 * @param turn another number has it made again
 */
export const usePrinted = (address: string, turn: number): Printed => {
  const [printed, setPrinted] = useState<Printed>({ state: 'making', part: 0 });
  useEffect(() => {
    setPrinted({ state: 'making', part: 0 });
    let url: string | undefined;
    const source = new EventSource(address);
    const read = <T>(e: Event): T => JSON.parse((e as MessageEvent<string>).data) as T;
    source.addEventListener('progress', (e) => setPrinted({ state: 'making', part: read<{ part: number }>(e).part }));
    source.addEventListener('done', (e) => {
      // Else the browser would ask for it again.
      source.close();
      const { name, pdf } = read<{ name: string; pdf: string }>(e);
      url = URL.createObjectURL(pdfOf(pdf));
      setPrinted({ state: 'made', name, url });
    });
    source.addEventListener('failed', (e) => {
      source.close();
      setPrinted({ state: 'failed', why: read<{ message: string }>(e).message });
    });
    source.onerror = () => {
      source.close();
      setPrinted((p) =>
        p.state === 'making'
          ? { state: 'failed', why: 'The server does not answer, or you are signed out. Nothing is lost.' }
          : p,
      );
    };
    return () => {
      source.close();
      if (url) URL.revokeObjectURL(url);
    };
  }, [address, turn]);
  return printed;
};
