export const inlineTags: ReadonlySet<string> = new Set(
  'a abbr b bdi bdo button cite code data dfn em i img input kbd label mark meter output progress q s samp select small span strong sub sup textarea time u var svg'.split(
    ' ',
  ),
);
