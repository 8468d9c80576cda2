export const benchPicture = {
  bedTheMixIsJudged: 'Bed the mix is judged in',
}
