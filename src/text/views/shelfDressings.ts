export const shelfDressings = {
  feedOrLime: 'feed or lime',
  feedsAndLimes: 'feeds and limes',
}
