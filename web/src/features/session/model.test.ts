import { expect, test } from 'vitest';
import { deviceInWords } from './model';

test('a device is named by what its browser says of itself', () => {
  expect(deviceInWords('Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36')).toBe('A computer');
  expect(deviceInWords('Mozilla/5.0 (Linux; Android 15) AppleWebKit/537.36 Mobile')).toBe(
    'A phone or tablet',
  );
  expect(deviceInWords('curl/8.0')).toBe('Another program');
  expect(deviceInWords('')).toBe('Another program');
});
