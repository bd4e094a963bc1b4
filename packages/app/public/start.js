// Lets the browser draw what the page holds, then shows the list as it stood here last, then starts the app: the scripts that
// the page has begun to fetch, in their order. Kept on the device they would be there before the first frame, and run first.
(() => {
  /** As somebody chose for this app on this device; see look/scheme.ts. */
  const colour = () => {
    const chosen = localStorage.getItem('yellow-latch.scheme');
    const isDark = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches);
    document.documentElement.dataset.scheme = isDark ? 'dark' : 'light';
    return isDark;
  };

  /** Shows what frame/picture.ts keeps, where the page is that of the list, on the same device, as wide, in the same colours. */
  const showPicture = () => {
    const isDark = colour();
    const kept = location.pathname + location.search === '/' && localStorage.getItem('yellow-latch.picture');
    if (!kept) return;
    const { device, width, isDark: wasDark, html } = JSON.parse(kept);
    // In a tab with a name of ours a stand-in runs, which is another device.
    const isOwn = device === localStorage.getItem('yellow-latch.device') && !window.name.startsWith('yellow-latch');
    if (!isOwn || width !== innerWidth || wasDark !== isDark) return;
    // Apart from the page: neither its looks nor its words mix with the app's.
    document.querySelector('#shell').attachShadow({ mode: 'open' }).innerHTML = html;
  };

  const run = () => {
    for (const { href } of document.querySelectorAll('link[rel=preload][as=script]')) {
      document.body.append(Object.assign(document.createElement('script'), { src: href, async: false }));
    }
  };
  // A page in the background has no frames.
  const afterFrame = (call) => (document.hidden ? call() : requestAnimationFrame(() => setTimeout(call)));

  // A tap before the app is there is given on to it: see frame/shell.ts.
  addEventListener('click', ({ clientX, clientY }) => {
    const shell = document.querySelector('#shell');
    if (shell) shell.dataset.tapped = `${clientX} ${clientY}`;
  });
  afterFrame(() => {
    try {
      showPicture();
    } catch {
      // Nothing can be kept here, or what was kept can't be read: the empty rows stand.
    }
    afterFrame(run);
  });
})();
