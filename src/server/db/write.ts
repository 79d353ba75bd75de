import type { Db } from './db'

/** A statement that writes. */
export interface Writer {
  /** Runs it; gives how many rows changed and the id of the row that was put in. Throws what the disk says. */
  readonly run: (...values: readonly unknown[]) => { readonly changes: number; readonly id: number }
}

/**
 * The one way to write. Only `run` is offered: a statement that returns rows commits when the driver resets it, and the driver drops
 * the error of that commit, so a full disk would go unnoticed.
 */
export function writer(db: Db, sql: string): Writer {
  const statement = db.prepare(sql)
  return {
    run: (...values) => {
      const { changes, lastInsertRowid } = statement.run(...values)
      return { changes, id: Number(lastInsertRowid) }
    },
  }
}
