import { renderToStaticMarkup } from "react-dom/server";
import type { TroubleInWords } from "#app/words/file-words.ts";
import { DEFAULT_LOCALE } from "#app/words/locale.ts";

/** A page for when there is no farm to show: it stands alone, without the application's own scripts and style sheets. @param nonce of the answer's headers */
export function troublePage({ what, help, path, restore }: TroubleInWords, nonce: string): string {
  return `<!doctype html>${renderToStaticMarkup(
    <html lang={DEFAULT_LOCALE}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>Data file · Pale Morning</title>
        <style nonce={nonce}>{STYLE}</style>
      </head>
      <body>
        <main>
          <p>Pale Morning</p>
          <h1>{what}</h1>
          <p>{help}</p>
          {restore !== "" && <p>{restore}</p>}
          <p>
            The file: <code>{path}</code>
          </p>
          <p>Nothing was written to it by this start. When it is put right, start Pale Morning again.</p>
        </main>
      </body>
    </html>,
  )}`;
}

const STYLE = `
body { margin: 0; background: #f5f2ea; color: #1d2b33; font: 1.125rem/1.5 system-ui, sans-serif; }
main { max-width: 42rem; margin: 10vh auto; padding: 1.5rem; background: #fcfaf5; border-left: 6px solid #9c3b2b; }
h1 { font: 600 1.75rem/1.25 Georgia, serif; margin: 0.25rem 0 1rem; }
code { overflow-wrap: anywhere; }
`;
