import { CONTEXT } from "#app/server/farm/here-of-tests.ts";
/** Calls a route as the server does, for tests: what came of it, where it leads, or its status, words and faults by field. */
export interface RouteOutcome {
  readonly status: number;
  readonly to?: string | null;
  readonly words?: string;
  readonly faults?: Readonly<Record<string, readonly string[]>>;
}

type Fields = Readonly<Record<string, string>>;

export const post = (fields: Fields, query = ""): Request =>
  new Request(`http://farm/x${query}`, { method: "POST", body: new URLSearchParams(fields) });

/** The framework hands a route more than it reads; what it reads is here. */
export async function callRoute(
  route: (args: never) => unknown,
  request: Request,
  params: Fields = {},
): Promise<RouteOutcome> {
  let answer: unknown;
  try {
    answer = await route({ request, params, context: CONTEXT } as never);
  } catch (thrown) {
    // A page thrown on purpose is an answer; a crash is a crash, and fails the test that called.
    if (thrown instanceof Error) throw thrown;
    answer = thrown;
  }
  if (answer instanceof Response) return { status: answer.status, to: answer.headers.get("Location") };
  const { init, data } = answer as { init?: { status?: number }; data?: unknown };
  const refusal = data as { result?: { error?: RouteOutcome["faults"] }; fault?: string } | undefined;
  return {
    status: init?.status ?? 200,
    words: typeof data === "string" ? data : (refusal?.fault ?? ""),
    ...(refusal?.result?.error && { faults: refusal.result.error }),
  };
}
