/** The page that walks a phone through trusting this computer. It comes over http, since the phone trusts nothing of ours yet. */
import { randomBytes } from 'node:crypto';
import type { RequestListener } from 'node:http';

export interface TrustPage {
  /** Where the app is, over https: what keeps working longest first. */
  addresses: readonly string[];
  fingerprint: string;
  /** The certificate, DER. */
  certificate: Buffer;
  now: number;
}

const CERTIFICATE = '/yellow-latch.crt';

export function trustListener(page: () => TrustPage): RequestListener {
  return ({ method, url = '/' }, response) => {
    const [path] = url.split('?', 1);
    const shown = page();
    response.setHeader('X-Content-Type-Options', 'nosniff');
    response.setHeader('Cache-Control', 'no-store');
    if (method !== 'GET' && method !== 'HEAD') response.writeHead(405, { Allow: 'GET, HEAD' }).end();
    else if (path === CERTIFICATE)
      response.writeHead(200, { 'Content-Type': 'application/x-x509-ca-cert' }).end(shown.certificate);
    else if (path === '/') {
      const nonce = randomBytes(16).toString('base64');
      const policy = `default-src 'none'; style-src 'nonce-${nonce}'; script-src 'nonce-${nonce}'; connect-src https:; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`;
      response
        .writeHead(200, { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': policy })
        .end(pageOf(shown, nonce));
    } else response.writeHead(302, { Location: '/' }).end();
  };
}

/** Steps as phones have them today; from memory. */
const STEPS = {
  iphone: [
    'Get the certificate, and allow the download.',
    'Open <b>Settings</b>. Tap <b>Profile Downloaded</b>, then <b>Install</b>.',
    'Go to <b>General</b> › <b>About</b> › <b>Certificate Trust Settings</b> and switch Yellow Latch on.',
    'Come back to this page.',
  ],
  android: [
    'Get the certificate.',
    'Open <b>Settings</b> and search for <b>CA certificate</b>. Tap <b>Install anyway</b> and choose the file you just got.',
    'Come back to this page.',
  ],
  computer: [
    'Get the certificate.',
    'Open your browser’s settings, search for <b>certificates</b>, and import the file as an <b>authority</b> for websites.',
    'Come back to this page.',
  ],
};
const NAMES = { iphone: 'iPhone or iPad', android: 'Android', computer: 'Computer' };

function pageOf({ addresses, fingerprint, now }: TrustPage, nonce: string): string {
  const kinds = Object.entries(STEPS) as [keyof typeof STEPS, string[]][];
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Trust this computer · Yellow Latch</title>
<style nonce="${nonce}">${STYLE}</style>
</head>
<body>
<main>
<h1>Trust this computer</h1>
<p>Your phone doesn’t know this computer yet. Do this once, then Yellow Latch opens.</p>
<p id="state" role="status">Checking…</p>
<section id="open" hidden><a class="main" id="go" href="#">Open Yellow Latch</a></section>
<section id="steps">
<h2>1. Compare</h2>
<p>The computer shows the same digits. If they differ, stop: another device is posing as it.</p>
<p class="digits" aria-label="Fingerprint">${fingerprint
    .split(' ')
    .map((group) => `<span>${group}</span>`)
    .join(' ')}</p>
<h2>2. Trust</h2>
<p><a class="main" href="${CERTIFICATE}" download="yellow-latch.crt">Get the certificate</a></p>
${kinds
  .map(
    ([kind, steps]) =>
      `<details id="${kind}"><summary>${NAMES[kind]}</summary><ol>${steps.map((step) => `<li>${step}</li>`).join('')}</ol></details>`,
  )
  .join('\n')}
<h2>If you don’t</h2>
<p>Your browser will warn you about this computer. Even if you go on, you can’t install the app, use it offline or copy a text with one tap.</p>
<details><summary>What you agree to</summary><p>Your phone will believe this computer when it says who it is: on private addresses and under its own name, nowhere else. You can remove the certificate in the same settings.</p></details>
</section>
</main>
<script nonce="${nonce}">(${check.toString()})(${JSON.stringify(addresses)}, ${now});</script>
</body>
</html>
`;
}

/** Runs on the phone: opens the app as soon as the phone trusts it. */
function check(addresses: string[], serverNow: number): void {
  const { document, navigator, localStorage, location } = globalThis as never as {
    document: {
      getElementById(id: string): { textContent: string; hidden: boolean; href: string; open: boolean; focus(): void };
      addEventListener(name: string, on: () => void): void;
      visibilityState: string;
    };
    navigator: { userAgent: string };
    localStorage: { getItem(key: string): string | null; setItem(key: string, value: string): void };
    location: { assign(url: string): void };
  };
  const get = (id: string) => document.getElementById(id);
  const agent = navigator.userAgent;
  const phone = /Android/.test(agent) ? 'android' : 'computer';
  get(/iPhone|iPad/.test(agent) ? 'iphone' : phone).open = true;
  const away = Math.round((Date.now() - serverNow) / 60_000);
  const used = localStorage.getItem('used');
  const order = [...addresses].sort((a, b) => Number(b === used) - Number(a === used));
  const reach = (address: string) =>
    fetch(`${address}/api/health?live`, { mode: 'no-cors' }).then(
      () => address,
      () => null,
    );
  const look = async () => {
    if (document.visibilityState === 'visible') {
      const reached = (await Promise.all(order.map(reach))).find((address) => address !== null);
      if (reached) {
        localStorage.setItem('used', reached);
        get('state').textContent = 'This device trusts the computer.';
        get('go').href = `${reached}/join`;
        get('open').hidden = false;
        get('steps').hidden = true;
        location.assign(`${reached}/join`);
        return;
      }
      get('state').textContent =
        Math.abs(away) > 60 * 12
          ? 'This device’s clock is wrong. Set date and time first: certificates don’t work without.'
          : 'Not trusted yet.';
    }
    setTimeout(() => void look(), 2_000);
  };
  void look();
}

const STYLE = `
:root { color-scheme: light dark; --paper: #f4f7f6; --ink: #0a3a42; --line: #aebdbf; --yellow: #ffcb2b; }
@media (prefers-color-scheme: dark) { :root { --paper: #14323a; --ink: #dcebea; --line: #35565e; } }
* { box-sizing: border-box; }
[hidden] { display: none; }
body { margin: 0; background: var(--paper); color: var(--ink); font: 1.0625rem/1.5 'Atkinson Hyperlegible Next', system-ui, sans-serif; }
main { max-width: 34rem; margin: 0 auto; padding: 1.25rem 1rem 3rem; }
h1 { font-size: 1.5rem; line-height: 1.2; margin: 0 0 .5rem; }
h2 { font-size: 1.125rem; margin: 1.5rem 0 .25rem; }
p { margin: .25rem 0 .75rem; }
#state { font-weight: 600; border-left: 4px solid var(--yellow); padding-left: .75rem; }
.digits { display: grid; grid-template-columns: repeat(2, max-content); gap: .25rem 1.5rem; width: max-content; font: 1rem/1.5 'Atkinson Hyperlegible Mono', ui-monospace, monospace; border: 1.5px solid var(--line); padding: .5rem .75rem; border-radius: 6px; }
.main { display: inline-block; background: var(--yellow); color: #0a3a42; font-weight: 600; text-decoration: none; padding: .75rem 1.25rem; border-radius: 6px; min-height: 3rem; }
details { border-bottom: 1px solid var(--line); }
summary { padding: .75rem 0; min-height: 3rem; cursor: pointer; }
ol { margin: 0 0 1rem; padding-left: 1.5rem; }
li { margin-bottom: .25rem; }
`;
