/** Stored documents that are changed by operations. */
export { type DocumentStore, type UnreadOperation, writeOperations } from './write.ts'
