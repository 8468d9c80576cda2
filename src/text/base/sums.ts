/** The sign before a sum of money; the store hears of every change and says so here. */
let sign = ''
export const setMoneySign = (next: string): void => {
  sign = next
}

/** A sum with the sign of the grower's currency. */
export const withMoneySign = (figure: string): string => `${sign}${figure}`

/** Money as it is paid, with two decimals: "£3.40". */
export const moneyText = (money: number, digits = 2): string =>
  `${money < 0 ? '−' : ''}${withMoneySign(Math.abs(money).toFixed(digits))}`
