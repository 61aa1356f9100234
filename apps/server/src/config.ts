/** Settings from the environment, checked once at start. */
import { z } from 'zod'

const environment = z.object({
  NODE_ENV: z.enum(['development', 'production', 'test']).default('production'),
  PORT: z.coerce.number().int().min(0).max(65535).default(4780),
  DATABASE_HOST: z.string().default('127.0.0.1'),
  DATABASE_PORT: z.coerce.number().int().positive(),
  DATABASE_NAME: z.string().min(1),
  DATABASE_USER: z.string().min(1),
  DATABASE_PASSWORD: z.string(),
  SESSION_SECRET: z.string().min(16),
  RESET_DEMO: z.string().optional(),
})

export type Config = z.infer<typeof environment>

export function readConfig(env: Record<string, string | undefined>): Config {
  return environment.parse(env)
}
