import { paletteCss } from '../palette';

/**
 * A layer of ours over somebody else's page. What is in it stands in a closed shadow root: the page's styles do not reach
 * it, and its scripts cannot read it.
 */
export class Layer {
  private readonly host: HTMLElement;
  readonly root: ShadowRoot;

  constructor(
    private readonly document: Document,
    css: string,
  ) {
    this.host = document.createElement('div');
    this.host.setAttribute('popover', 'manual');
    this.host.style.cssText =
      'all:initial!important;position:fixed!important;inset:0 auto auto 0!important;width:0!important;height:0!important;overflow:visible!important;border:0!important;padding:0!important;margin:0!important;z-index:2147483647!important';
    this.root = this.host.attachShadow({ mode: 'closed' });
    const style = document.createElement('style');
    style.textContent = `${paletteCss(':host')}\n${BASE}\n${css}`;
    this.root.append(style);
  }

  /** Puts the layer over everything, with `content` in it. */
  show(content: HTMLElement): void {
    for (const child of [...this.root.children].slice(1)) if (child !== content) child.remove();
    if (!content.isConnected) this.root.append(content);
    if (!this.host.isConnected) this.document.documentElement.append(this.host);
    // Above dialogs too, where the browser knows a top layer.
    if (this.host.showPopover && !this.host.matches(':popover-open')) this.host.showPopover();
  }

  hide(): void {
    this.host.remove();
  }

  get isShown(): boolean {
    return this.host.isConnected;
  }

  /** Whether an event happened in here. */
  holds(event: Event): boolean {
    return event.composedPath().includes(this.host);
  }
}

const BASE = `
*{box-sizing:border-box}
.card{position:fixed;background:var(--surface);color:var(--ink);border:2px solid var(--ink);border-radius:14px;
box-shadow:0 6px 24px rgb(0 0 0/.28);font:16px/1.4 "Atkinson Hyperlegible Next",system-ui,sans-serif;max-width:min(26rem,calc(100vw - 16px))}
.plate{font:600 15px/1.2 "Atkinson Hyperlegible Mono",ui-monospace,monospace;display:inline-flex;flex:none;border:1.5px solid var(--keyline);
border-radius:6px;overflow:hidden;background:var(--ground)}
.plate>span{padding:3px 5px;white-space:pre}
.plate>.latch{background:var(--latch);color:var(--onLatch)}
.plate>.latch.before{border-right:1.5px solid var(--keyline)}
.plate>.latch.after{border-left:1.5px solid var(--keyline)}
`;
