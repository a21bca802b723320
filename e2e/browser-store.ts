import type { Page } from '@playwright/test';
import type { Session } from '../src/core/live/session';

/** What is to become of a table, and what to bring back of it. */
interface Work<Answer> {
  readonly answer: Answer;
  /** Rows to be written. */
  readonly put?: readonly object[];
  readonly clear?: true;
}

/**
 * Lets `work` look at all rows of a table of the app's database, in the page, in one transaction. It goes there as text: it may use
 * nothing from outside but `arg`, and no named functions, to which a bundler adds a helper that the page does not have.
 */
export async function inTable<Row, Answer, Arg>(
  page: Page,
  table: 'meals' | 'plans' | 'sessions' | 'kitchens',
  work: (rows: readonly Row[], arg: Arg) => Work<Answer>,
  arg: Arg,
): Promise<Answer> {
  // As text that is run as it is: the page's own policy forbids it to make code of text.
  const told = JSON.stringify({ table, arg });
  return page.evaluate<Answer>(`(${inThePage})(${told}, (${work}))`);
}

async function inThePage(
  { table, arg }: { readonly table: string; readonly arg: unknown },
  work: (rows: readonly object[], arg: unknown) => Work<unknown>,
): Promise<unknown> {
  const database = await new Promise<IDBDatabase>((resolve, reject) => {
    const open = indexedDB.open('warm-cadence');
    open.onerror = () => reject(open.error);
    open.onsuccess = () => resolve(open.result);
  });
  const change = database.transaction(table, 'readwrite');
  const store = change.objectStore(table);
  return new Promise<unknown>((resolve, reject) => {
    const all = store.getAll();
    all.onsuccess = () => {
      const { answer, put = [], clear } = work(all.result, arg);
      if (clear) store.clear();
      for (const row of put) store.put(row);
      change.oncomplete = () => {
        database.close();
        resolve(answer);
      };
    };
    change.onerror = () => reject(change.error);
  });
}

/** Writes into the log of the evening that everything up to so many minutes from the table went by the plan; returns that instant. */
export async function asPlannedUntil(page: Page, minute: number): Promise<number> {
  return inTable(
    page,
    'sessions',
    ([session]: readonly Session[], until: number) => {
      if (!session) throw new Error('There is no evening yet.');
      const { plan, tableAt } = session;
      const events = plan.steps
        .flatMap(({ key, start, end }) => [
          { id: `begun ${key}`, kind: 'begun' as const, key, at: tableAt + start * 60_000 },
          { id: `done ${key}`, kind: 'done' as const, key, at: tableAt + end * 60_000 },
        ])
        .filter(({ at }) => at <= tableAt + until * 60_000)
        .sort((a, b) => a.at - b.at);
      return { answer: tableAt + until * 60_000 + 1000, put: [{ ...session, events }] };
    },
    minute,
  );
}
