/** What something comes to, and the milliseconds of computing it takes, however much else the machine has to do. */
export function computing<T>(act: () => T): { readonly value: T; readonly ms: number } {
  const before = process.cpuUsage();
  const value = act();
  const { user, system } = process.cpuUsage(before);
  return { value, ms: (user + system) / 1000 };
}
