/** In place of the nothing that expo-router shows while a screen is fetched. */
exports.SuspenseFallback = require('@/features/shoot/Opening').Opening;
