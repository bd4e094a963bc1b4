const clock = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
const dayOfYear = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A moment as short as it can be told: the time today, the day and the time before. Both in ms since 1970. */
export function tellMoment(moment: number, now = Date.now()): string {
  const [then, today] = [new Date(moment), new Date(now)];
  if (then.toDateString() === today.toDateString()) return clock.format(then);
  const date = then.getFullYear() === today.getFullYear() ? day : dayOfYear;
  return `${date.format(then)}, ${clock.format(then)}`;
}

/** How long ago something was, roughly, as one would say it. */
export function tellAgo(moment: number, now = Date.now()): string {
  const minutes = Math.floor((now - moment) / 60_000);
  if (minutes < 2) return 'just now';
  if (minutes < 60) return `${minutes} minutes ago`;
  const hours = Math.round(minutes / 60);
  if (hours < 24) return hours === 1 ? 'an hour ago' : `${hours} hours ago`;
  const days = Math.round(hours / 24);
  if (days === 1) return 'yesterday';
  return days < 30 ? `${days} days ago` : `on ${tellMoment(moment, now).split(',')[0]!}`;
}
