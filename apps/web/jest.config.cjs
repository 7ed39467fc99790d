module.exports = {
  displayName: 'web',
  preset: 'jest-expo/web',
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transformIgnorePatterns: [
    '/node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-native-.*|@shopify/flash-list|uuid|intl-messageformat|@formatjs/.*|idb|@cordel/.*))',
  ],
};
