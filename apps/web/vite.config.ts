import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react()],
  worker: { format: 'es' },
  build: {
    chunkSizeWarningLimit: 1400,
    rolldownOptions: {
      output: {
        advancedChunks: {
          groups: [
            { name: 'antd', test: /node_modules[\\/](antd|@ant-design|rc-|@rc-component)/ },
            { name: 'react', test: /node_modules[\\/](react|react-dom|react-router|scheduler|@reduxjs|react-redux|immer)/ },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': process.env.LEMMATA_API ?? 'http://127.0.0.1:4780' } },
})
