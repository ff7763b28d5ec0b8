import { expect, test } from 'vitest';
import { fileName } from './download';

test.each([
  ['0147 Pennerley T9 booth deck', '0147-pennerley-t9-booth-deck'],
  ['0001 Gerät / »Süd«', '0001-gerat-sud'],
  ['../../etc', 'etc'],
  ['***', 'ticket'],
])('%s becomes a name that every file system takes', (text, name) => expect(fileName(text)).toBe(name));
