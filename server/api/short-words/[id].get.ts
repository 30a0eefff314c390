export default shortWordRoutes.get()
