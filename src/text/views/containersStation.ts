export const containersStation = {
  moreBeds: 'More beds in this job',
  whatIsFilled: 'What is filled',
  howMuch: 'How much',
  oneOfTheBedsIs: 'One of the beds is not counted: something is wrong with it.',
  whatTheMixHasTo: 'What the mix has to meet',
  onToTheMix: 'Go to Mix',
}
