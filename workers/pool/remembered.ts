/**
 * The same function, which remembers its last answers by all that was asked: for sums that take long and are asked for
 * again and again.
 *
 * @param most answers kept; the oldest goes first
 */
export function remembered<Asked, Answer>(
  answerOf: (asked: Asked) => Answer,
  most: number,
): (asked: Asked) => Answer {
  const kept = new Map<string, Answer>();
  return (asked) => {
    const key = JSON.stringify(asked);
    if (kept.has(key)) return kept.get(key)!;
    const answer = answerOf(asked);
    if (kept.size >= most) kept.delete(kept.keys().next().value!);
    kept.set(key, answer);
    return answer;
  };
}
