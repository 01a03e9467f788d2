// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { club } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { TestsFile } from './TestsFile';

afterEach(cleanup);

const connectors = club.clubItems.filter((i) => i.kind === 'connector');
const devices = club.clubItems.filter((i) => i.kind === 'device');
const oval = connectors.find((c) => c.id === 'connector-oval')!;
const HEAD = 'connector,device,end,from,gate,result,at,note';
const line = (connector: string, result = 'worked', at = '2026-03-01') =>
  `"${connector}",device-burr,broad,left,free,${result},${at},tried`;

const show = (own = connectors) =>
  showPage({ path: '', at: '', element: <TestsFile connectors={own} devices={devices} csv={null} /> });
const give = (...lines: string[]) =>
  fireEvent.change(screen.getByLabelText('Own tests from a CSV file'), {
    target: { files: [new File([[HEAD, ...lines].join('\n')], 'tests.csv')] },
  });

describe('own tests from a file', () => {
  it('are added, as one step to undo, and a second time nothing is', async () => {
    const page = show();
    give(line(oval.name), line(oval.name, 'wedged', '2026-03-02'));
    await waitFor(() => expect(page.data().wayTests).toHaveLength(2));
    expect(page.data().wayTests.map((t) => [t.connectorId, t.deviceId, t.result])).toEqual([
      ['connector-oval', 'device-burr', 'worked'],
      ['connector-oval', 'device-burr', 'wedged'],
    ]);
    expect(page.store.getState().workspace.past).toHaveLength(1);
    give(line(oval.name), line(oval.name, 'wedged', '2026-03-02'));
    give(line(oval.name), line(oval.name, 'worked', '2026-03-03'));
    await waitFor(() => expect(page.data().wayTests).toHaveLength(3));
  });

  it('are refused whole, with the line, when one of them is wrong', async () => {
    const page = show();
    give(line(oval.name), line(oval.name, 'worked', '12/11/2025'));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('tests.csv, line 3');
    expect(alert.textContent).toContain('Nothing was taken from it.');
    expect(page.data().wayTests).toEqual([]);
  });

  it.each<[string, BlobPart, string]>([
    ['nothing', '', 'The file is empty.'],
    ['UTF-16', new Uint8Array([0xff, 0xfe, 0x63, 0]), 'The text of this file is UTF-16. Save it as UTF-8.'],
    ['a picture', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1]), 'This file is no text.'],
    ['bad UTF-8', new Uint8Array([0x63, 0xc3, 0x28]), 'The text of this file is not UTF-8. Save it as UTF-8.'],
    ['too much', new Uint8Array(20_000_001).fill(0x61), 'A file has at most 20000000 bytes.'],
  ])('%s is refused in a plain sentence', async (_, content, says) => {
    const page = show();
    fireEvent.change(screen.getByLabelText('Own tests from a CSV file'), {
      target: { files: [new File([content], 'tests.csv')] },
    });
    expect((await screen.findByRole('alert')).textContent).toBe(`tests.csv: ${says} Nothing was taken from it.`);
    expect(page.data().wayTests).toEqual([]);
  });

  it('of a name that two have: it is asked which, and the answer is taken', async () => {
    const page = show([...connectors, { ...oval, id: 'connector-oval-2', insideLengthMm: 77 }]);
    give(line(oval.name));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain(`names “${oval.name}”, and there are 2 of that name`);
    expect(page.data().wayTests).toEqual([]);
    fireEvent.click(screen.getByRole('button', { name: /7\.7.cm inside/ }));
    await waitFor(() => expect(page.data().wayTests.map((t) => t.connectorId)).toEqual(['connector-oval-2']));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('of a name that two have: the file can be left', async () => {
    const page = show([...connectors, { ...oval, id: 'connector-oval-2' }]);
    give(line(oval.name));
    await screen.findByRole('alert');
    fireEvent.click(screen.getByRole('button', { name: 'Leave the file' }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(page.data().wayTests).toEqual([]);
  });

  it('can only be saved when the map is there', () => {
    show();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save as CSV' }).disabled).toBe(true);
    cleanup();
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:x', revokeObjectURL: () => undefined }));
    const csv = vi.fn(() => HEAD);
    showPage({ path: '', at: '', element: <TestsFile connectors={connectors} devices={devices} csv={csv} /> });
    HTMLAnchorElement.prototype.click = () => undefined;
    fireEvent.click(screen.getByRole('button', { name: 'Save as CSV' }));
    expect(csv).toHaveBeenCalledOnce();
  });
});
