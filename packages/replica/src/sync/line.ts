/**
 * The line of this page to the server. It is open, but on a stand-in whose owner has switched it off: then nothing is asked and
 * nothing comes, as on a device without a network.
 */
class Line {
  private isCut = false;
  private readonly streams = new Set<EventSource>();

  /** Throws as a browser does that has no network. */
  check(): void {
    if (this.isCut) throw new TypeError('the line is cut');
  }

  /** Opens a stream that ends when the line is cut. */
  follow(open: () => EventSource): EventSource {
    this.check();
    const stream = open();
    this.streams.add(stream);
    return stream;
  }

  /** Cuts the line: what is open ends as when a network goes. */
  cut(): void {
    this.isCut = true;
    for (const stream of this.streams) {
      const isOpen = stream.readyState !== stream.CLOSED;
      stream.close();
      if (isOpen) stream.dispatchEvent(new Event('error'));
    }
    this.streams.clear();
  }

  /** The line is there again, and whoever waits for it tries at once. */
  mend(): void {
    if (!this.isCut) return;
    this.isCut = false;
    globalThis.dispatchEvent?.(new Event('online'));
  }
}

export const line = new Line();
