interface PageOf<Item> {
  items: Item[];
}

interface Pages<Page> {
  data: { pages: Page[] } | undefined;
  hasNextPage: boolean;
  fetchNextPage: () => Promise<unknown>;
}

/** The items of every page fetched so far, and the way to the next one, if there is one. */
export function pagesOf<Item>(query: Pages<PageOf<Item>>): { items: Item[]; more?: () => void } {
  const items = query.data?.pages.flatMap((page) => page.items) ?? [];
  return query.hasNextPage ? { items, more: () => void query.fetchNextPage() } : { items };
}
