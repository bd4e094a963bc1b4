import { AuditClient } from './client';

/** A worker that never answers, and may fail. */
class SilentWorker extends EventTarget {
  wasEnded = false;
  asked = 0;
  postMessage(): void {
    this.asked += 1;
  }
  terminate(): void {
    this.wasEnded = true;
  }
}

test('a worker that fails is ended, and the next question goes to a new one', () => {
  const workers: SilentWorker[] = [];
  const client = new AuditClient(() => {
    workers.push(new SilentWorker());
    return workers.at(-1) as unknown as Worker;
  });
  const ask = () => {
    const draft = { id: 'x', code: ';w', content: { expansion: 'x', template: false, format: 'plain' as const }, kind: 'message' as const, setId: null };
    void client.verdict({ shortcuts: [], sets: [] }, draft);
  };
  ask();
  ask();
  expect(workers.map(({ asked }) => asked > 0)).toEqual([true]);
  workers[0]!.dispatchEvent(new Event('error'));
  expect(workers[0]!.wasEnded).toBe(true);
  ask();
  expect(workers).toHaveLength(2);
});
