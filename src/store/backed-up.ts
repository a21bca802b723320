import type { Pantry } from './db';

/** Days without a backup after which a reminder stands on the first page. */
export const REMIND_AFTER_DAYS = 14;

/** Whether it is time for a backup: something was changed since the last one, and that is long ago or there was none. */
export async function wantsBackup(db: Pantry, now: number): Promise<boolean> {
  const last = (await db.settings.get('backed up'))?.value ?? 0;
  const changed = await db.meals.filter(({ changedAt }) => changedAt > Number(last)).count();
  const first = Number(last) || ((await db.marks.get('samples'))?.at ?? now);
  return changed > 0 && now - first > REMIND_AFTER_DAYS * 86_400_000;
}
