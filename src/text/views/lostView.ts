export const lostView = {
  thereIsNothingHere: 'There is nothing here',
  theAddressDoesNotLead: 'The address does not lead to a page, or what it led to has been removed.',
}
