/** What one process alone does: it brings the database up, loads the demo, and tidies up once a day. */
import type { Sequelize } from 'sequelize'
import type { Logger } from 'pino'
import type { Config } from './config.ts'
import { migrate } from './database/index.ts'
import { DEMO, loadDemo } from './demo/load-demo.ts'
import { tidy } from './housekeeping/index.ts'
import { forgetEnded } from './learning/index.ts'

const DAY_MS = 24 * 3600 * 1000

export async function prepare(
  config: Config,
  { sequelize, log }: { readonly sequelize: Sequelize; readonly log: Logger },
): Promise<{ readonly demo: typeof DEMO; readonly stop: () => Promise<void> }> {
  const today = (): string => new Date().toISOString().slice(0, 10)
  await migrate(sequelize)
  await loadDemo(sequelize, today(), config.RESET_DEMO === '1')
  let forgetting: Promise<unknown> = Promise.resolve()
  const forget = (): void => {
    forgetting = Promise.all([forgetEnded(today()), tidy(new Date())]).catch((error: unknown) => log.error({ err: error }, 'tidying up'))
  }
  forget()
  setInterval(forget, DAY_MS).unref()
  return {
    demo: DEMO,
    stop: async () => void (await forgetting),
  }
}
