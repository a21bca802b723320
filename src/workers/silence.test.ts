import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Silence } from './silence';

describe('silence', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('is over after so many seconds', async () => {
    const heard = vi.fn();
    const silence = new Silence(12);
    silence.over.then(heard);
    await vi.advanceTimersByTimeAsync(11_500);
    expect(heard).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1000);
    expect(heard).toHaveBeenCalledWith(null);
  });

  it('is not over when the clock jumps: the sleep of a machine counts as one second', async () => {
    const heard = vi.fn();
    const silence = new Silence(12);
    silence.over.then(heard);
    vi.setSystemTime(Date.now() + 8 * 3_600_000);
    await vi.advanceTimersByTimeAsync(1000);
    expect(heard).not.toHaveBeenCalled();
    silence.stop();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(heard).not.toHaveBeenCalled();
  });
});
