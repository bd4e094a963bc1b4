import { Pause } from './moments';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('a pause', () => {
  it('comes so long after the last thing that happened, and calls what was given then', () => {
    const pause = new Pause(250);
    const called: string[] = [];
    pause.wait(() => called.push('first'));
    jest.advanceTimersByTime(200);
    pause.wait(() => called.push('second'));
    jest.advanceTimersByTime(249);
    expect(called).toEqual([]);
    jest.advanceTimersByTime(1);
    expect(called).toEqual(['second']);
    jest.advanceTimersByTime(1_000);
    expect(called).toEqual(['second']);
  });

  it('is waited for again once it has come', () => {
    const pause = new Pause(250);
    const call = jest.fn();
    for (const _ of [1, 2]) {
      pause.wait(call);
      jest.advanceTimersByTime(250);
    }
    expect(call).toHaveBeenCalledTimes(2);
  });

  it('does not come once nobody waits any more', () => {
    const pause = new Pause(250);
    const call = jest.fn();
    pause.wait(call);
    pause.end();
    jest.advanceTimersByTime(1_000);
    expect(call).not.toHaveBeenCalled();
  });
});
