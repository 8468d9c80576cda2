export const containersStation = {
  whatIsFilled: 'What is filled',
  beds: 'Beds',
  inSection: 'In section',
  howMuch: 'How much',
  oneOfTheBedsIs: 'One of the beds is not counted: something is wrong with it.',
  whatTheMixHasTo: 'What the mix has to meet',
  onToTheMix: 'On to the mix',
}
