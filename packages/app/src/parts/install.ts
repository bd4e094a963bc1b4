import { Subscribable } from '@yellow-latch/core/subscribable';

/** What a browser gives a page that it could install (Web App Manifest, incubations). */
interface InstallPrompt extends Event {
  prompt(): Promise<unknown>;
}

let offered: InstallPrompt | null = null;

/** Installing the app, where the browser offers it: the offer comes early, before anybody looks for it, and holds once. */
export const install = {
  changes: new Subscribable(),

  get isOffered(): boolean {
    return offered !== null;
  },

  listen(): void {
    addEventListener('beforeinstallprompt', (event) => {
      // It is asked where a person is told what it is good for, not when the browser thinks so.
      event.preventDefault();
      take(event as InstallPrompt);
    });
    addEventListener('appinstalled', () => take(null));
  },

  async ask(): Promise<void> {
    const prompt = offered;
    take(null);
    await prompt?.prompt();
  },
};

function take(next: InstallPrompt | null): void {
  offered = next;
  install.changes.emit();
}
