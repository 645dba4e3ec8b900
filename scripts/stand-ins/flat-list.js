/** In place of a list that the gestures look for, to take what scrolls within it: there is none. */
module.exports = class FlatList {};
