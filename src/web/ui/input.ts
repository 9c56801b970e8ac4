/** Fields of the component library one by one: its own way in brings all of them, each with what it needs alone. */
export { default as Input, type InputRef } from 'antd/es/input/Input';
export { default as Password } from 'antd/es/input/Password';
export { default as Search } from 'antd/es/input/Search';
export { default as TextArea } from 'antd/es/input/TextArea';
