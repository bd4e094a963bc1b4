// Lets the browser draw what the page holds, then starts the app: the scripts that the page has begun to fetch, in their order.
// Kept on the device they would be there before the first frame, and run first.
const start = () => {
  for (const { href } of document.querySelectorAll('link[rel=preload][as=script]')) {
    document.body.append(Object.assign(document.createElement('script'), { src: href, async: false }));
  }
};
// A page in the background has no frames.
if (document.hidden) start();
else requestAnimationFrame(() => setTimeout(start));
