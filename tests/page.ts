import { cleanup } from '@testing-library/react';
import { afterEach, vi } from 'vitest';

// Files share their page: every test leaves it as it found it.
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});
