/** What the server has: asked for once, remembered, asked for again when it has changed. */
import type { ClassAnswer, ClassSummary, SamplerAnswer, SamplerSummary, SessionAnswer, TeacherAnswer, VersionSummary } from '@lemmata/contract'
import type { StitchDocument } from '@lemmata/core/notation'
import { type BaseQueryFn, createApi } from '@reduxjs/toolkit/query/react'
import { api, sentenceOf } from './client.ts'

export interface Failed {
  /** What to tell. */
  readonly sentence: string
}

/** A request is one of the client's calls: one place for the token, for errors as sentences and a lost connection. */
const ask: BaseQueryFn<() => Promise<unknown>, unknown, Failed> = async (call) => {
  try {
    return { data: (await call()) ?? null }
  } catch (thrown) {
    return { error: { sentence: sentenceOf(thrown) } }
  }
}

export const serverApi = createApi({
  reducerPath: 'server',
  baseQuery: ask,
  tagTypes: ['session', 'shelf', 'stitches', 'classes', 'versions'],
  endpoints: (build) => ({
    session: build.query<TeacherAnswer | null, void>({
      query: () => api.session,
      transformResponse: (answer: SessionAnswer) => answer.teacher,
      providesTags: ['session'],
    }),
    samplers: build.query<readonly SamplerSummary[], void>({ query: () => api.samplers, providesTags: ['shelf'] }),
    makeSampler: build.mutation<SamplerAnswer, { name: string } | { document: unknown }>({
      query: (given) => () => api.makeSampler(given),
      invalidatesTags: ['shelf'],
    }),
    copySampler: build.mutation<SamplerAnswer, { id: string; forNextClass: boolean }>({
      query:
        ({ id, forNextClass }) =>
        () =>
          api.copySampler(id, forNextClass),
      invalidatesTags: ['shelf'],
    }),
    versions: build.query<readonly VersionSummary[], string>({ query: (id) => () => api.versions(id), providesTags: ['versions'] }),
    keepVersion: build.mutation<VersionSummary, { id: string; name: string }>({
      query:
        ({ id, name }) =>
        () =>
          api.keepVersion(id, name),
      invalidatesTags: ['versions'],
    }),
    dropVersion: build.mutation<null, { id: string; version: string }>({
      query:
        ({ id, version }) =>
        () =>
          api.dropVersion(id, version),
      invalidatesTags: ['versions'],
    }),
    removeSampler: build.mutation<null, string>({ query: (id) => () => api.removeSampler(id), invalidatesTags: ['shelf'] }),
    restoreSampler: build.mutation<SamplerAnswer, string>({ query: (id) => () => api.restoreSampler(id), invalidatesTags: ['shelf'] }),
    renameSampler: build.mutation<null, { id: string; name: string }>({
      query:
        ({ id, name }) =>
        () =>
          api.renameSampler(id, name),
      invalidatesTags: ['shelf'],
    }),
    ownStitches: build.query<readonly StitchDocument[], void>({ query: () => api.ownStitches, providesTags: ['stitches'] }),
    putOwnStitch: build.mutation<null, StitchDocument>({ query: (stitch) => () => api.putOwnStitch(stitch), invalidatesTags: ['stitches'] }),
    removeOwnStitch: build.mutation<null, string>({ query: (id) => () => api.removeOwnStitch(id), invalidatesTags: ['stitches'] }),
    classes: build.query<readonly ClassSummary[], string>({ query: (sampler) => () => api.classes(sampler), providesTags: ['classes'] }),
    makeClass: build.mutation<ClassAnswer, { sampler: string; name: string }>({ query: (given) => () => api.makeClass(given), invalidatesTags: ['classes'] }),
    removeClass: build.mutation<null, string>({ query: (id) => () => api.removeClass(id), invalidatesTags: ['classes'] }),
  }),
})

export const {
  useSessionQuery,
  useSamplersQuery,
  useMakeSamplerMutation,
  useCopySamplerMutation,
  useVersionsQuery,
  useKeepVersionMutation,
  useDropVersionMutation,
  useRemoveSamplerMutation,
  useRestoreSamplerMutation,
  useRenameSamplerMutation,
  useOwnStitchesQuery,
  usePutOwnStitchMutation,
  useRemoveOwnStitchMutation,
  useClassesQuery,
  useMakeClassMutation,
} = serverApi

/** The sentence of what a query or a mutation failed with. */
export function failedWith(error: unknown): string | null {
  if (!error) return null
  return (error as Partial<Failed>).sentence ?? 'Something went wrong. Try again.'
}
