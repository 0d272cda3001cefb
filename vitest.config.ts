import { defineConfig } from 'vitest/config';

// The interface's own logic, without a browser: what is kept on the device, sent again, completed and converted.
export default defineConfig({
    resolve: { alias: { '@': '/resources/js' } },
    test: { include: ['resources/js/tests/*.test.{ts,tsx}'], environment: 'happy-dom', restoreMocks: true },
});
