import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

// Apart from vite.config.ts: the framework's plugin there starts a development server, which build machines refuse.
export default defineConfig({
    plugins: [react()],
    test: { include: ['resources/js/**/*.test.{ts,tsx}'] },
});
