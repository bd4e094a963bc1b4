/** A page that lets the codes of a list expand in its field. It needs the file that Yellow Latch exports, and nothing else. */
import { attach } from '@yellow-latch/field';

const told = document.querySelector('p')!;
const file = await fetch('list.json');
try {
  attach(document.querySelector('textarea')!, {
    list: await file.json(),
    onFired: (event) => {
      told.textContent = event.type === 'fired' ? `“${event.typed}” expanded` : `“${event.typed}” is back`;
    },
  });
  told.textContent = 'Type a code and a space.';
} catch (error) {
  told.textContent = `That list can’t be used: ${(error as Error).message}`;
}
