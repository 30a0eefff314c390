export default pathRoutes.remove()
