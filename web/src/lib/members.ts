/** The same with a member set, or without it where there is no value: absent members stay absent when it is sent. */
export function withMember<T extends object, K extends keyof T>(of: T, key: K, value: T[K] | undefined): T {
  const { [key]: gone, ...rest } = of;
  void gone;
  return (value === undefined ? rest : { ...rest, [key]: value }) as T;
}
