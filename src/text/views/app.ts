export const app = {
  skipToThePage: 'Skip to the page',
  openToLookAtOnly: 'Open to look at only.',
  nothingYouDoHereIs: 'Nothing you do here is kept.',
  tryToOpenItAs: 'Try to open it as usual',
  aPartOfOpenBed: 'A part of Open Bed could not be fetched.',
  aNewerVersionIsProbably: 'A newer version is probably here; what you have done is kept.',
  reloadThePage: 'Reload the page',
  aNewerOpenBedIs: 'A newer Open Bed is here.',
  itTakesOverWhenYou: 'It takes over when you say so; what you have done is kept.',
  useItNow: 'Use it now',
  later: 'Later',
  openingYourGarden: 'Opening your garden…',
}
