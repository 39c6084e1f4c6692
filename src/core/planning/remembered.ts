/**
 * What was worked out before, for as long as what it was worked out of is kept: one person
 * has many poses, which share their numbers and some of them their legs.
 */
export class Remembered<Source extends object, Answer> {
  private readonly known = new WeakMap<Source, Map<string, Answer>>();

  /**
   * @param key all else that the answer depends on
   * @param work works it out; has to give the same every time
   */
  find(source: Source, key: string, work: () => Answer): Answer {
    const before = this.known.get(source);
    const known = before?.get(key);
    if (known !== undefined) return known;
    const answer = work();
    if (before === undefined) this.known.set(source, new Map([[key, answer]]));
    else before.set(key, answer);
    return answer;
  }
}
