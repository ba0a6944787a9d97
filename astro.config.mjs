import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { parserApart } from './scripts/parser.mjs';

// The same policy as `scripts/policy.mjs` sends with scripts and workers; here Astro adds the
// hashes of the few inline scripts and styles that it writes itself.
export default defineConfig({
  output: 'static',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  build: { inlineStylesheets: 'never', assets: '_astro' },
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwindcss(), parserApart()],
    build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
    worker: { format: 'es', plugins: () => [parserApart()] },
    optimizeDeps: {
      include: ['comlink', 'dexie', 'acorn', 'papaparse', 'yup', 'json-p3'],
    },
  },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob: http: https:",
        "connect-src 'self' http: https:",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
      ],
      scriptDirective: { resources: ["'self'", "'wasm-unsafe-eval'"] },
      styleDirective: { resources: ["'self'"] },
    },
  },
});
