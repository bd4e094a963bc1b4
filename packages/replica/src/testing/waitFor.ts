/** Resolves when `check` no longer throws; rejects with what it throws after `timeout` ms. */
export async function waitFor(check: () => void, { timeout = 5_000 } = {}): Promise<void> {
  for (const end = Date.now() + timeout; ;) {
    try {
      check();
      return;
    } catch (error) {
      if (Date.now() > end) throw error;
    }
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}
