import type { Database } from './database';
import { Erasure } from './erasure';
import { LIST_BYTES, receivePushes, type Push, type Received } from './ledger';

interface Waiting extends Push {
  resolve(answer: Enqueued): void;
  reject(error: unknown): void;
}

/** A push that was taken. `erased`: resolves when what it erased is gone from the files. */
export interface Enqueued extends Received {
  erased: Promise<void> | null;
}

/**
 * Receives pushes. Those that arrive while the event loop turns once share a transaction, so that many devices
 * cost the disk one wait; each push is still taken whole or not at all, and answered when it is durable.
 */
export class Intake {
  private waiting: Waiting[] = [];

  constructor(
    private readonly db: Database,
    private readonly erasure = new Erasure(db),
    private readonly quota = LIST_BYTES,
  ) {}

  enqueue(push: Push): Promise<Enqueued> {
    return new Promise((resolve, reject) => {
      if (this.waiting.push({ ...push, resolve, reject }) === 1) setImmediate(() => this.receiveWaiting());
    });
  }

  private receiveWaiting(): void {
    const pushes = this.waiting;
    this.waiting = [];
    try {
      const answers = receivePushes(this.db, pushes, this.quota);
      answers.forEach((answer, index) => {
        const push = pushes[index]!;
        if (answer instanceof Error) push.reject(answer);
        else push.resolve({ ...answer, erased: this.erase(push, answer.erases) });
      });
    } catch (error) {
      for (const { reject } of pushes) reject(error);
    }
  }

  /** Also a push that is repeated waits for what it erased the first time. */
  private erase({ device, changes: pushed }: Push, erases: boolean): Promise<void> | null {
    const first = pushed.find(({ fields }) => fields.deleted === 'erased');
    if (!erases && !(first && this.erasure.isPending)) return null;
    this.erasure.hold(device.id, first?.n ?? pushed[0]!.n);
    return this.erasure.finish();
  }
}
