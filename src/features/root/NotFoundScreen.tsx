import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';

/** An address that leads nowhere. */
export function NotFoundScreen() {
  const router = useRouter();
  return (
    <View role="main" className="flex-1 items-start justify-center gap-4 bg-paper p-6">
      <Heading level={1} kind="title">
        Nothing at this address
      </Heading>
      <Text>The link may be cut off, or the page has another name now.</Text>
      <Button label="See all shoots" kind="primary" onPress={() => router.replace('/')} />
    </View>
  );
}
