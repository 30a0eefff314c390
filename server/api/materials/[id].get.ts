export default materialRoutes.get()
