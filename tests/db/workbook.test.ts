import { deflateRawSync } from 'node:zlib';
import { afterAll, describe, expect, test } from 'vitest';
import { closeContext } from '../../src/server/context/context';
import { aWorkbook } from '../make/workbook';
import { anAccount, take } from './account';

afterAll(closeContext);

describe('a workbook', () => {
  const HEADINGS = ['Date', 'Item code', 'Product', 'Orders', 'Units', 'Sales'];

  test('is read with its days and numbers; bad rows are told by their row in the sheet', async () => {
    const account = await anAccount();
    const day = new Date(Date.UTC(2026, 9, 5));
    const result = await take(
      account,
      'sales',
      aWorkbook([
        HEADINGS,
        [day, 'Q7BC12D3F4', 'Crock', 3, 4, 275.6],
        [],
        [day, 'Q8BC12D3F5', 'Jar', -1, 0, 0],
        ['5.10.2026', 'Q9BC12D3F6', 'Lid', 1, 1, 0.1 + 0.2],
      ]),
    );
    expect(result).toMatchObject({ state: 'done', kept: 2, refused: 1, firstDay: '2026-10-05' });
    expect(result.lines).toEqual([{ line: 4, reason: 'Orders is negative (-1).' }]);
  });

  test('that was cut off is refused, and nothing of it kept', async () => {
    const account = await anAccount();
    const whole = aWorkbook([HEADINGS, ['2026-10-05', 'Q7BC12D3F4', 'Crock', 3, 4, 275.6]]);
    const result = await take(account, 'sales', whole.slice(0, whole.length - 200));
    expect(result).toMatchObject({ state: 'refused', kept: 0 });
    expect(result.message).toContain('damaged or was cut off');
  });

  test('that would unpack to far more than a table could be is refused before it is unpacked', async () => {
    const account = await anAccount();
    const started = performance.now();
    const result = await take(account, 'sales', aBomb('xl/worksheets/sheet1.xml', 900_000_000));
    expect(result).toMatchObject({
      state: 'refused',
      kept: 0,
      message: expect.stringContaining('would unpack to'),
    });
    expect(performance.now() - started).toBeLessThan(20_000);
  });

  test('without a sheet is refused', async () => {
    const account = await anAccount();
    expect((await take(account, 'sales', aWorkbook([]))).message).toContain('no sheet with rows');
  });
});

/** An archive of one part, whose header says how large it is; its packed bytes are few. */
function aBomb(name: string, size: number): Uint8Array {
  const packed = deflateRawSync(Buffer.alloc(1_000_000));
  const head = (central: boolean) => {
    const bytes = Buffer.alloc(central ? 46 : 30);
    bytes.writeUInt32LE(central ? 0x02014b50 : 0x04034b50, 0);
    const at = central ? 10 : 8;
    bytes.writeUInt16LE(8, at);
    bytes.writeUInt32LE(packed.length, at + 10);
    bytes.writeUInt32LE(size, at + 14);
    bytes.writeUInt16LE(name.length, at + 18);
    return Buffer.concat([bytes, Buffer.from(name)]);
  };
  const local = Buffer.concat([head(false), packed]);
  const central = head(true);
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(1, 8);
  end.writeUInt16LE(1, 10);
  end.writeUInt32LE(central.length, 12);
  end.writeUInt32LE(local.length, 16);
  return new Uint8Array(Buffer.concat([local, central, end]));
}
