export interface Message {
  readonly to: string
  readonly subject: string
  readonly text: string
}

/** Resolves when the message is on its way. */
export type Post = (message: Message) => Promise<void>
