import './ahead';
import 'expo-router/entry';
