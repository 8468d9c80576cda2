/** Names of the table that read oddly in a sentence, and what a grower says. */
const SAID: Readonly<Record<string, string>> = {
  'Tomato, indeterminate (cordon)': 'cordon tomato',
  'Tomato, determinate / patio': 'bush tomato',
  'Tomato, cherry, vine': 'cherry tomato',
  'Cucumber (trellised)': 'cucumber',
  'Winter squash / pumpkin': 'winter squash',
  'Watermelon, small-fruited': 'small watermelon',
  'Broad (faba) bean': 'broad bean',
  'Onion, bulb': 'onion',
  'Asparagus (perennial crown)': 'asparagus',
  'Blueberry, highbush': 'highbush blueberry',
  'Grape, table': 'table grape',
  'Pear, dwarf': 'dwarf pear',
  'Avocado, dwarf or grafted': 'dwarf avocado',
  'Lime (fruit), dwarf': 'dwarf lime tree',
  'Orange or mandarin, dwarf': 'dwarf orange',
  'Olive, dwarf or pruned': 'olive',
  'Redcurrant, whitecurrant': 'redcurrant',
  'Blackberry, thornless': 'thornless blackberry',
  'Kiwi fruit, or hardy kiwi': 'kiwi fruit',
  'Apple, dwarf stock': 'dwarf apple',
  'Peach or nectarine, dwarf': 'dwarf peach',
  'Banana, dwarf': 'dwarf banana',
  'Soya bean, edamame': 'soya bean',
  'Peanut, groundnut': 'peanut',
  'Cowpea, yardlong bean': 'cowpea',
  'Leaf amaranth (callaloo, chaulai)': 'leaf amaranth',
}

/** A crop in the middle of a sentence: "for cherry tomato". */
export const cropInText = (name: string): string => SAID[name] ?? name.toLowerCase()
