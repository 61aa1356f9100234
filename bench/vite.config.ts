import { defineConfig } from 'vite'

/** Measured as it is shipped: bundled JavaScript, without a loader's helpers in the way. */
export default defineConfig({
  ssr: { noExternal: [/^@lemmata\//] },
  build: {
    ssr: true,
    target: 'node20',
    rolldownOptions: {
      input: {
        run: 'run.ts',
        order: 'order.ts',
        page: 'page.ts',
        together: 'together.ts',
        print: 'print.ts',
        learners: 'learners.ts',
        photo: 'photo.ts',
        'photo-page': 'photo-page.ts',
        fuzz: 'fuzz.ts',
        hostile: 'hostile.ts',
        killed: 'killed.ts',
        teachers: 'teachers.ts',
        beside: 'beside.ts',
        'fit-seconds': 'fit-seconds.ts',
      },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name]-[hash].js' },
    },
  },
})
