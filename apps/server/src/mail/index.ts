/** Messages to people: sent where a post office is set, and otherwise laid into a folder, so that it works as it stands. */
export { type Message, makePost, type Post } from './post.ts'
