/** Messages to people: sent where a post office is set, and otherwise laid into a folder, so that it works as it stands. */
export { laidPagePath, laidPageRoutes } from './laid.ts'
export type { Message, Post } from './message.ts'
export { makePost } from './post.ts'
