/** In place of expo-router's native stack, which it makes while loading and nobody here shows. */
exports.createNativeStackNavigator = () => ({ Navigator: () => null });
