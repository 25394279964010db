import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { conditions: ['source', 'module', 'browser', 'development|production'] },
  server: {
    port: 5173,
    host: '127.0.0.1',
    proxy: { '/api': { target: `http://127.0.0.1:${process.env.PORT ?? 4310}` } },
  },
  // Fonts stay files: the page takes none from within a style sheet.
  build: { chunkSizeWarningLimit: 1200, assetsInlineLimit: 0 },
});
