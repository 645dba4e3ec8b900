import type { Page } from '@playwright/test';

/** What the browser keeps of the app, read and written as it lies there. */

type Work = 'get' | 'put';

/** One text of the page's own database. */
const inDatabase = (page: Page, work: Work, key: string, text?: string): Promise<string | null> =>
  page.evaluate(
    ([how, at, value]) =>
      new Promise<string | null>((resolve, reject) => {
        const opening = indexedDB.open('bright-perch');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const database = opening.result;
          const store = database.transaction('entries', 'readwrite').objectStore('entries');
          const request = how === 'get' ? store.get(at) : store.put(value, at);
          request.onerror = () => reject(request.error);
          request.onsuccess = () => {
            database.close();
            resolve(how === 'get' ? ((request.result as string | undefined) ?? null) : null);
          };
        };
      }),
    [work, key, text] as const,
  );

export const keptText = (page: Page, key: string) => inDatabase(page, 'get', key);
export const keepText = (page: Page, key: string, text: string) =>
  inDatabase(page, 'put', key, text);

/** From here on the browser refuses to write, as when the disk is full; until {@link makeRoom}. */
export const fillUp = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const stores = IDBObjectStore.prototype as IDBObjectStore & {
      putWithRoom?: IDBObjectStore['put'];
    };
    stores.putWithRoom = stores.put;
    stores.put = () => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    };
  });

export const makeRoom = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const stores = IDBObjectStore.prototype as IDBObjectStore & {
      putWithRoom?: IDBObjectStore['put'];
    };
    if (stores.putWithRoom) stores.put = stores.putWithRoom;
  });
