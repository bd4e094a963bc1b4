import type { ReplicaDatabase } from './database';

/** The same database on a device that may be full: as long as it is, nothing can be written to it, and what is there stays. */
export function fullWhile(db: ReplicaDatabase, isFull: () => boolean): ReplicaDatabase {
  const fullError = () => new DOMException('the device is full', 'QuotaExceededError');
  const refuse = () => {
    throw fullError();
  };
  return new Proxy(db, {
    get(target, name) {
      if (isFull() && (name === 'put' || name === 'add')) return () => Promise.reject(fullError());
      if (name === 'transaction')
        return (...[stores, mode, options]: Parameters<ReplicaDatabase['transaction']>) =>
          isFull() && mode === 'readwrite' ? refuse() : target.transaction(stores, mode, options);
      const value: unknown = Reflect.get(target, name, target);
      return typeof value === 'function' ? (value as (...args: unknown[]) => unknown).bind(target) : value;
    },
  });
}
