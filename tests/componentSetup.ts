import { cleanup } from '@testing-library/react';
import { afterEach } from 'vitest';

// Each test draws a page of its own, at a fresh address and with nothing remembered.
afterEach(() => {
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
  history.replaceState(null, '', '/');
});
