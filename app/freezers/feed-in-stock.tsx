import { Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";

/** Feed that no batch has: what is left of it, or that more left than came. */
export function FeedInStock({ feed }: { feed: { readonly milligrams: number; readonly cents: number } }) {
  const show = useShow();
  if (feed.milligrams === 0) return null;
  return feed.milligrams > 0 ? (
    <p>
      Feed in stock: {show.bulk(feed.milligrams)}, {show.money(feed.cents)}, not assigned to a batch. To use
      it, add “from stock 2 bags” to a batch's history.
    </p>
  ) : (
    <Notice>
      <b>{show.bulk(-feed.milligrams)} more feed left stock than went in.</b> An entry that added it was
      removed: enter it again in its batch, or remove what was taken out.
    </Notice>
  );
}
