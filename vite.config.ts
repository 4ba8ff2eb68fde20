import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [laravel({ input: ['resources/js/main.tsx'], refresh: true }), react(), tailwindcss()],
    build: { sourcemap: false },
    test: { include: ['resources/js/**/*.test.{ts,tsx}'] },
});
