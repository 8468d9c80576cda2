export const benchPicture = {
  inSection: 'In section',
  bedTheMixIsJudged: 'Bed the mix is judged in',
}
