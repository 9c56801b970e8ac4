import { describe, expect, it } from 'vitest';
import { addresses, addressOf } from './addresses';
import { type Endpoint, endpoints } from './endpoints';

describe('an address', () => {
  it('has its places filled in, each as one part of the path', () => {
    expect(addressOf('readPhoto', { photoId: 'p1', size: 'full' })).toBe('/api/photos/p1/full');
    expect(addressOf('exportHouse', { kind: '../a b' })).toBe('/api/house/file/..%2Fa%20b');
    expect(addressOf('readHouse', {})).toBe('/api/house');
  });

  it('carries what is asked, and nothing of what is not', () => {
    const asked = { words: 'green & blue', role: undefined, minWidth: 0, near: null, style: '', limit: 20 };
    expect(addressOf('listPieces', {}, asked)).toBe('/api/house/pieces?words=green%20%26%20blue&minWidth=0&limit=20');
  });
});

describe('every endpoint', () => {
  it.each(Object.entries(endpoints))(
    '%s: its places are those of its address, and nothing stands in two',
    (name, endpoint) => {
      const { places, query, body, picture }: Endpoint = endpoint;
      const { method, path } = addresses[name as keyof typeof addresses];
      const inPath = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]);
      expect(Object.keys(places?.shape ?? {})).toEqual(inPath);
      expect(Object.keys(query?.shape ?? {}).filter((key) => inPath.includes(key))).toEqual([]);
      // What is read sends no body.
      if (method === 'get') expect([body, picture]).toEqual([undefined, undefined]);
    },
  );

  it('has an address of its own', () => {
    const all = Object.values(addresses).map(({ method, path }) => `${method} ${path}`);
    expect(new Set(all).size).toBe(all.length);
  });
});
