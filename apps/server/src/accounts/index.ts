/** Teachers' accounts: making one, signing in and out, the password. */
export { accountRoutes } from './routes.ts'
export type { AccountSettings } from './routes.ts'
export { hashPassword, passwordMatches } from './passwords.ts'
