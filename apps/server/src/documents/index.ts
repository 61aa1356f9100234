/** Stored documents that are changed by operations. */
export { checkedDocuments } from './checked.ts'
export { type DocumentStore, type UnreadOperation, writeOperations } from './write.ts'
