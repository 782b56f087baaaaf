// One of each part that the app is made of, as the library gives them, and nothing else: what the first screen is held against.
import {
  Button,
  ChakraProvider,
  Checkbox,
  createToaster,
  defaultSystem,
  Field,
  Input,
  Menu,
  NativeSelect,
  Popover,
  Portal,
  Table,
  Tabs,
  Toast,
  Toaster,
} from '@chakra-ui/react';
import { createRoot } from 'react-dom/client';

const toaster = createToaster({ placement: 'bottom' });

const Empty = () => (
  <ChakraProvider value={defaultSystem}>
    <main>
      <Field.Root>
        <Field.Label>Amount</Field.Label>
        <Input />
        <Field.HelperText>A number</Field.HelperText>
      </Field.Root>
      <NativeSelect.Root>
        <NativeSelect.Field aria-label="Unit">
          <option>lb</option>
          <option>kg</option>
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <Checkbox.Root>
        <Checkbox.HiddenInput />
        <Checkbox.Control />
        <Checkbox.Label>Treated</Checkbox.Label>
      </Checkbox.Root>
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button>More</Button>
        </Popover.Trigger>
        <Portal>
          <Popover.Positioner>
            <Popover.Content>
              <Popover.Body>More of it</Popover.Body>
            </Popover.Content>
          </Popover.Positioner>
        </Portal>
      </Popover.Root>
      <Menu.Root>
        <Menu.Trigger asChild>
          <Button>Menu</Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content>
              <Menu.Item value="one">One</Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      <Tabs.Root defaultValue="one">
        <Tabs.List>
          <Tabs.Trigger value="one">One</Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="one">First</Tabs.Content>
      </Tabs.Root>
      <Table.Root>
        <Table.Body>
          <Table.Row>
            <Table.Cell>Lawn</Table.Cell>
            <Table.Cell>7400</Table.Cell>
          </Table.Row>
        </Table.Body>
      </Table.Root>
    </main>
    <Toaster toaster={toaster}>
      {(toast) => (
        <Toast.Root>
          <Toast.Title>{toast.title}</Toast.Title>
        </Toast.Root>
      )}
    </Toaster>
  </ChakraProvider>
);

const root = document.getElementById('root');
if (root) createRoot(root).render(<Empty />);
