/**
 * Locks as a browser keeps them (Web Locks, W3C Working Draft, section 3), as far as one exclusive lock at a time
 * needs.
 */
export class FakeLocks {
  private readonly held = new Map<string, (error: Error) => void>();
  private readonly line = new Map<string, (() => void)[]>();

  async request(
    name: string,
    options: LockOptions,
    hold: (lock: { name: string } | null) => Promise<unknown>,
  ): Promise<unknown> {
    if (options.steal) {
      this.held.get(name)?.(new DOMException('stolen', 'AbortError'));
      this.held.delete(name);
    }
    if (this.held.has(name)) {
      if (options.ifAvailable) return hold(null);
      await new Promise<void>((next, left) => {
        options.signal?.addEventListener('abort', () => {
          this.line.set(
            name,
            (this.line.get(name) ?? []).filter((other) => other !== next),
          );
          left(new DOMException('left', 'AbortError'));
        });
        this.line.set(name, [...(this.line.get(name) ?? []), next]);
      });
    }
    const stolen = new Promise<never>((_, rejected) => this.held.set(name, rejected));
    const mine = this.held.get(name);
    try {
      return await Promise.race([hold({ name }), stolen]);
    } finally {
      if (this.held.get(name) === mine) {
        this.held.delete(name);
        this.line.get(name)?.shift()?.();
      }
    }
  }
}
