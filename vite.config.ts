import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** Modules of ours that do something when they are merely loaded; of all others only what is used is sent. */
const DOES_SOMETHING = /\.css$|\/main\.tsx$|\.worker\.ts$/;

export default defineConfig({
  root: 'src/web',
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: {
    outDir: '../../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    rollupOptions: {
      treeshake: {
        moduleSideEffects: (id) => !/\/src\//.test(id) || id.includes('node_modules') || DOES_SOMETHING.test(id),
      },
    },
  },
});
